import type { BrowseState } from "../../core/page/browse-state/browse-state.ts";
import { continuousPart } from "../../core/page/browse-state/moved.ts";

/** A step that continues the previous one's change within this many ms is merged with it. */
const pause = 1000;

/** Decides which of a shopper's steps are separate entries of the browser's history. One per page. */
export class Steps {
  /** Whether results are on numbered pages; otherwise more of them are appended below. */
  #paged: () => boolean;
  #last: { moved: string; at: number } | undefined;

  constructor(paged: () => boolean) {
    this.#paged = paged;
  }

  /**
   * Whether a step continues the previous one, so that going back reverts both: more of the same list, a handle
   * dragged on, words typed on.
   * @param now in ms, from any origin
   */
  goesOn(before: BrowseState, after: BrowseState, now: number): boolean {
    const moved = continuousPart(before, after);
    const last = this.#last;
    this.#last = moved === undefined ? undefined : { moved, at: now };
    if (moved !== undefined) return last?.moved === moved && now - last.at <= pause;
    return !this.#paged() && after.page === before.page + 1;
  }

  /** The next step continues none: the shopper has gone back or forward. */
  rest(): void {
    this.#last = undefined;
  }
}
