import type { PageStore } from "../../page/store.ts";
import { partsAt } from "../../panel/part-at.ts";
import type { ArrangeAct, Standing } from "./act.ts";
import { standingNow } from "./standing.ts";

interface Told {
  act(act: ArrangeAct): void;
  standing(standing: Standing): void;
}

/** Ends arranging on this page. */
let end: (() => void) | undefined;

/**
 * Turns arranging on or off. While it is on, the open panel ignores a shopper's clicks: a click selects what to style.
 * Everything else happens in the rail beside the page, which is sent the positions of elements.
 * @param slug of the open panel
 */
export function arrange(on: boolean, store: PageStore, slug: string, tell: Told): void {
  end?.();
  end = undefined;
  if (!on) return;
  document.documentElement.dataset.arranging = "";
  const stop = (event: Event) => {
    const { target } = event;
    if (!(target instanceof Element) || !target.closest(`[data-panel="${CSS.escape(slug)}"]`)) return;
    // A text being edited in place keeps its clicks.
    if (target.closest("[contenteditable=true]")) return;
    event.preventDefault();
    event.stopPropagation();
    const row = target.closest<HTMLElement>("[data-row]");
    if (event.type !== "click" || !(event instanceof MouseEvent) || !row) return;
    const { left, right } = row.getBoundingClientRect();
    const under = document.elementsFromPoint(event.clientX, event.clientY).filter((one) => one.closest(".zt-panel"));
    const part = partsAt(under).find((one) => one !== "panel");
    tell.act({ do: "style", row: row.dataset.row ?? "", part, left, right, y: event.clientY });
  };
  const names = ["click", "pointerdown", "submit", "change"];
  for (const name of names) document.addEventListener(name, stop, true);

  let due = 0;
  let last = "";
  const measure = () => {
    const standing = standingNow(slug);
    const text = JSON.stringify(standing);
    if (text === last) return;
    last = text;
    tell.standing(standing);
  };
  const soon = () => {
    cancelAnimationFrame(due);
    // Parts out of sight follow the state one frame later.
    due = requestAnimationFrame(() => requestAnimationFrame(measure));
  };
  const watch = new ResizeObserver(soon);
  watch.observe(document.body);
  const panel = document.querySelector(`.zt-panel[data-panel="${CSS.escape(slug)}"]`);
  if (panel) watch.observe(panel);
  addEventListener("scroll", soon, { passive: true, capture: true });
  const unsubscribe = store.subscribe(soon);
  measure();

  end = () => {
    for (const name of names) document.removeEventListener(name, stop, true);
    removeEventListener("scroll", soon, { capture: true });
    cancelAnimationFrame(due);
    watch.disconnect();
    unsubscribe();
    openGap(slug, undefined);
    delete document.documentElement.dataset.arranging;
  };
}

/**
 * Opens a gap before a row, or at the end; closes any other.
 * @param at index among the panel's rows; undefined for none
 */
export function openGap(slug: string, at: number | undefined): void {
  for (const one of document.querySelectorAll<HTMLElement>("[data-gap]")) delete one.dataset.gap;
  if (at === undefined) return;
  const rows = [...document.querySelectorAll<HTMLElement>(`[data-panel="${CSS.escape(slug)}"] [data-row]`)];
  const row = rows[at] ?? rows.at(-1);
  if (row) row.dataset.gap = at < rows.length ? "before" : "after";
}

/** Makes a text editable in place. */
export function writeText(slug: string, row: string, done: (html: string) => void): void {
  const text = document.querySelector<HTMLElement>(
    `[data-panel="${CSS.escape(slug)}"] [data-row="${CSS.escape(row)}"] .zt-text`,
  );
  if (!text) return;
  text.contentEditable = "true";
  text.focus();
  text.addEventListener(
    "blur",
    () => {
      text.contentEditable = "false";
      done(text.innerHTML);
    },
    { once: true },
  );
}
