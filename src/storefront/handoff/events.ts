import type { Selection } from "../../core/engine/question.ts";
import type { TroubleOf } from "./faults.ts";

/** The events of a group of panels and listings: the details of each, by its name behind `trellis-`. */
export interface EventDetails {
  /** The shopper has chosen, taken back or searched. */
  change: { group: string; selection: Selection };
  /** Other products are found, or stand in another order. */
  results: {
    group: string;
    selection: Selection;
    /** Products found, out of all on the page. */
    total: number;
    outOf: number;
    /** Ids of those that are shown now, in their order. */
    shown: string[];
    /** Found products that a list of the site's own does not have. */
    missing: number;
  };
  /** Panels and listings answer from now on. */
  ready: { group: string };
  /** Something is missing, damaged or of another version; the form remains unchanged. */
  trouble: { group: string; of: TroubleOf; file: string | undefined; message: string };
}

/** Tells an element's page what has happened. @param bubbles it is also heard on what stands around the element */
export const tell = <N extends keyof EventDetails>(
  element: Element,
  name: N,
  detail: EventDetails[N],
  bubbles: boolean,
): boolean => element.dispatchEvent(new CustomEvent(`trellis-${name}`, { detail, bubbles, composed: true }));
