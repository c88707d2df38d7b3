import { chosenIn } from "../../core/engine/selection.ts";
import type { Act } from "../../core/page/browse-state/browse-state.ts";
import type { PageStore } from "./store.ts";

/** A range is done when nothing has been dragged or typed for this many ms. */
const rest = 800;

/**
 * How long after an act a panel that sends its choices on at once does so, in ms; undefined if it does not: what is
 * taken back is no choice, and words are searched for with Enter.
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

/** Sends the shopper on from a page's panels, once what is under way is done. */
export class Leaving {
  #store: PageStore;
  #go: (panel: string) => void;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** @param go takes the shopper to the page that a panel's choices are sent to */
  constructor(store: PageStore, go: (panel: string) => void) {
    this.#store = store;
    this.#go = go;
  }

  /** Tells it of an act in a panel; an earlier departure that has not begun is put off. */
  after(act: Act, panel: string): void {
    clearTimeout(this.#timer);
    const leads = this.#store.leads(panel);
    // A link leads where it says, whatever waits beside it.
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

/** Takes the shopper to another page. Whoever comes back to a panel that leaves at once finds nothing chosen in it. */
export function leaveFor(store: PageStore, panel: string, address: string): void {
  if (store.leads(panel) === "once") addEventListener("pageshow", () => store.discard(panel), { once: true });
  location.assign(address);
}
