import { render } from "preact";
import sheet from "./notes.css?inline";
import type { NotesBoot } from "./notes-boot.ts";
import { NotesView } from "./notes-view.tsx";

/** Starts the notes on a preview's page, apart from the page's own styles and events. */
function start(): void {
  const boot: NotesBoot = JSON.parse(document.getElementById("zt-notes-boot")?.textContent ?? "");
  const host = document.createElement("div");
  host.id = "zt-notes";
  const shadow = host.attachShadow({ mode: "open" });
  const style = document.createElement("style");
  style.textContent = sheet;
  const root = document.createElement("div");
  shadow.append(style, root);
  host.popover = "manual";
  stayOnTop(host);
  render(<NotesView boot={boot} host={host} />, root);
}

/**
 * Keeps our marks above everything: in the browser’s top layer, and inside a modal drawer while one is open, since
 * everything outside of it is inert.
 */
function stayOnTop(host: HTMLElement): void {
  const place = () => {
    const home = document.querySelector("dialog[open]") ?? document.body;
    if (host.parentElement === home) return;
    home.append(host);
    host.toggleAttribute("data-in-drawer", home !== document.body);
    // Older browsers have no top layer for it; there the marks are just in front.
    host.showPopover?.();
  };
  place();
  const page = document.getElementById("zt-page");
  if (page) new MutationObserver(place).observe(page, { subtree: true, attributeFilter: ["open"] });
}

start();
