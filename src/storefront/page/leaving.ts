import { chosenIn } from "../../core/engine/selection.ts";
import type { Act } from "../../core/page/browse-state/browse-state.ts";
import type { PageStore } from "./store.ts";

/** A range is complete when nothing was dragged or typed for this many ms. */
const rest = 800;

/**
 * Delay in ms after an act before a panel without a button sends its choices on; undefined if it doesn't: removing a
 * choice is not a choice, and searches are sent by Enter.
 */
export function leavesAfter(act: Act): number | undefined {
  switch (act.do) {
    case "toggle":
    case "only":
      return 0;
    case "choose":
      if (act.choice === undefined || chosenIn(act.choice) === 0) return undefined;
      return "options" in act.choice ? 0 : rest;
    default:
      return undefined;
  }
}

/** Sends the shopper to another page, once the present act is complete. */
export class Leaving {
  #store: PageStore;
  #go: (panel: string) => void;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** @param go opens the page that a panel's choices are sent to */
  constructor(store: PageStore, go: (panel: string) => void) {
    this.#store = store;
    this.#go = go;
  }

  /** Notes an act in a panel; a departure not yet begun is postponed. */
  after(act: Act, panel: string): void {
    clearTimeout(this.#timer);
    const leads = this.#store.leads(panel);
    // A link opens its own target, whatever else is waiting.
    const pause = leads === "once" || (leads && act.do === "only") ? leavesAfter(act) : undefined;
    if (pause !== undefined) this.#timer = setTimeout(() => this.#leave(panel, pause), pause);
  }

  /** A handle that is still held may be dragged on. */
  #leave(panel: string, pause: number): void {
    if (pause > 0 && document.querySelector("input[type=range]:active"))
      this.#timer = setTimeout(() => this.#leave(panel, pause), pause);
    else this.#go(panel);
  }
}

/** Opens another page. A shopper who comes back to such a panel finds nothing chosen in it. */
export function leaveFor(store: PageStore, panel: string, address: string): void {
  if (store.leads(panel) === "once") addEventListener("pageshow", () => store.discard(panel), { once: true });
  location.assign(address);
}
