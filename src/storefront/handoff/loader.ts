/**
 * The one script whose name never changes, for pages in which a handoff is pasted once: it brings the current style
 * sheet and the current script, which then fills the elements by their names.
 */
import { loadScript } from "./load-script.ts";
import { tabFraction, tabNumber, wantsPrivacy } from "./tab.ts";
import type { HandoffManifest } from "./wire.ts";

/** Whether a script is this one, in a page that has it as a module, which is not told its own tag. */
const isThis = ({ src }: HTMLScriptElement): boolean => /\/trellis\.js(?:\?|$)/.test(src);
const tag = document.currentScript ?? [...document.scripts].find(isThis);
const at = new URL(".", tag instanceof HTMLScriptElement ? tag.src : location.href);
/** Same name as in `wire.ts`, which would bring more than this script needs. */
const manifestName: typeof import("./wire.ts").manifestName = "trellis.json";

async function manifestAt(place: URL): Promise<HandoffManifest> {
  const response = await fetch(new URL(manifestName, place), { cache: "no-cache" });
  if (!response.ok)
    throw new Error(`${manifestName} answered ${response.status}. Put the whole handoff at ${place.href}.`);
  return response.json();
}

/** The folder of the edition that this tab gets: the trial's for its share of the tabs, by their numbers. */
function placeFor({ trial }: HandoffManifest): URL {
  if (!trial) return at;
  const place = new URL(trial.at, at);
  if (!(trial.share > 0 && trial.share < 1) || !place.href.startsWith(at.href)) {
    console.error(
      `trellis: ${manifestName} has a trial at “${trial.at}” with the share ${trial.share}. Use a folder below it, and a number between 0 and 1. The usual edition is shown.`,
    );
    return at;
  }
  const tab = wantsPrivacy() ? undefined : tabNumber();
  return tab !== undefined && tabFraction(tab) < trial.share ? place : at;
}

async function load(): Promise<void> {
  const usual = await manifestAt(at);
  const place = placeFor(usual);
  const { files, integrity } = place === at ? usual : await manifestAt(place);
  const style = document.createElement("link");
  Object.assign(style, {
    rel: "stylesheet",
    href: new URL(files.style, place).href,
    integrity: integrity.style,
    crossOrigin: "anonymous",
  });
  // Its layers must come before the site's own.
  document.head.prepend(style);
  await loadScript(new URL(files.script, place).href, integrity.script).catch(() => {
    throw new Error(`${files.script} is missing, or differs from the handoff’s.`);
  });
}

load().catch((error: Error) => console.error(`trellis: ${error.message}`));
