import type { Placement } from "../../../core/settings/placement.ts";
import type { Share } from "../../../core/settings/settings.ts";

/**
 * The designer's acts while arranging, in the rail or on the page. The bench makes the same edits of them as the
 * lattice would.
 */
export type ArrangeAct =
  /** Puts a row in place of another, or at the end. */
  | { do: "move"; row: string; to: number }
  /** Takes a row to another panel of the page. */
  | { do: "carry"; row: string; panel: string }
  /** Wants a facet or a piece at a place. */
  | { do: "add"; at: number }
  | { do: "settings"; row: string }
  /** Wants to style a row, or the part of it that was pointed at; with where that is, in CSS px of the window. */
  | { do: "style"; row: string; part: string | undefined; left: number; right: number; y: number }
  | { do: "remove"; row: string }
  | { do: "label"; row: string; text: string }
  /** Writes the text of a text piece. */
  | { do: "html"; row: string; html: string }
  | { do: "share"; row: string; share: Share }
  /** Puts the panel in another slot on this band. */
  | { do: "place"; placement: Placement };

/** A place on a page, in CSS px of its window. */
export interface Area {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Where things stand on a page that is arranged, for the rail beside it. */
export interface Standing {
  /** Rows of the panel that is worked on, as far as they are laid out. */
  rows: (Area & { id: string })[];
  /** The other panels of the page. */
  panels: (Area & { slug: string })[];
  /** Slots that the panel can be dragged to. */
  slots: (Area & { slot: Placement })[];
}
