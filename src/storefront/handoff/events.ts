import type { Selection } from "../../core/engine/question.ts";
import type { TroubleOf } from "./faults.ts";

/** The events of a group of panels and listings: their details, by name without `trellis-`. */
export interface EventDetails {
  /** The selection or the search words have changed. */
  change: { group: string; selection: Selection };
  /** The found products or their order have changed. */
  results: {
    group: string;
    selection: Selection;
    /** Number of products found, out of all on the page. */
    total: number;
    outOf: number;
    /** Ids of the visible products, in order. */
    shown: string[];
    /** The order that was chosen, empty for the page's own, and the results page, from 1. */
    sort: string;
    page: number;
    /** Number of found products that are missing from the site's own list. */
    missing: number;
  };
  /** Products can be counted from now on. */
  ready: { group: string };
  /** Something is missing, damaged or of another version; the form remains. */
  trouble: { group: string; of: TroubleOf; file: string | undefined; message: string };
}

/** Dispatches an event on an element. @param bubbles whether it bubbles to its ancestors */
export const tell = <N extends keyof EventDetails>(
  element: Element,
  name: N,
  detail: EventDetails[N],
  bubbles: boolean,
): boolean => element.dispatchEvent(new CustomEvent(`trellis-${name}`, { detail, bubbles, composed: true }));
