/**
 * The one script whose name never changes, for pages in which a handoff is pasted once: it brings the current style
 * sheet and the current script, which then fills the elements by their names.
 */
import { loadScript } from "./load-script.ts";
import type { HandoffManifest } from "./wire.ts";

/** Whether a script is this one, in a page that has it as a module, which is not told its own tag. */
const isThis = ({ src }: HTMLScriptElement): boolean => /\/trellis\.js(?:\?|$)/.test(src);
const tag = document.currentScript ?? [...document.scripts].find(isThis);
const at = new URL(".", tag instanceof HTMLScriptElement ? tag.src : location.href);
/** Same name as in `wire.ts`, which would bring more than this script needs. */
const manifestName: typeof import("./wire.ts").manifestName = "trellis.json";

async function load(): Promise<void> {
  const response = await fetch(new URL(manifestName, at), { cache: "no-cache" });
  if (!response.ok)
    throw new Error(`${manifestName} answered ${response.status}. Put the whole handoff at ${at.href}.`);
  const { files, integrity }: HandoffManifest = await response.json();
  const style = document.createElement("link");
  Object.assign(style, {
    rel: "stylesheet",
    href: new URL(files.style, at).href,
    integrity: integrity.style,
    crossOrigin: "anonymous",
  });
  // Its layers must come before the site's own.
  document.head.prepend(style);
  await loadScript(new URL(files.script, at).href, integrity.script).catch(() => {
    throw new Error(`${files.script} is missing, or differs from the handoff’s.`);
  });
}

load().catch((error: Error) => console.error(`trellis: ${error.message}`));
