import type { BrowseState } from "../../core/page/browse-state/browse-state.ts";
import { continuousPart } from "../../core/page/browse-state/moved.ts";

/** A step that moves what the one before has moved goes on with it where at most this many ms are between them. */
const pause = 1000;

/** Tells which steps of a shopper are entries of their own in the browser's history. One for each page. */
export class Steps {
  /** Pages come one by one, with a way to each; otherwise more of the same follows below. */
  #paged: () => boolean;
  #last: { moved: string; at: number } | undefined;

  constructor(paged: () => boolean) {
    this.#paged = paged;
  }

  /**
   * Whether a step goes on with the one before, so that going back takes both: more of the same list, a handle that is
   * dragged on, words that are typed on.
   * @param now in ms, since any moment
   */
  goesOn(before: BrowseState, after: BrowseState, now: number): boolean {
    const moved = continuousPart(before, after);
    const last = this.#last;
    this.#last = moved === undefined ? undefined : { moved, at: now };
    if (moved !== undefined) return last?.moved === moved && now - last.at <= pause;
    return !this.#paged() && after.page === before.page + 1;
  }

  /** The next step goes on with none: the shopper has gone back or forth. */
  rest(): void {
    this.#last = undefined;
  }
}
