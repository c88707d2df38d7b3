import type { Placement } from "../../../core/settings/placement.ts";
import type { Share } from "../../../core/settings/settings.ts";

/**
 * The designer's acts while arranging, in the rail or on the page. The bench turns them into the same edits as the
 * lattice.
 */
export type ArrangeAct =
  /** Moves a row to another's position, or to the end. */
  | { do: "move"; row: string; to: number }
  /** Moves a row to another panel of the page. */
  | { do: "carry"; row: string; panel: string }
  /** Requests adding a facet or piece at a position. */
  | { do: "add"; at: number }
  | { do: "settings"; row: string }
  /** Requests styling a row, or the part pointed at; with its position in CSS px of the window. */
  | { do: "style"; row: string; part: string | undefined; left: number; right: number; y: number }
  | { do: "remove"; row: string }
  | { do: "label"; row: string; text: string }
  /** Sets the text of a text piece. */
  | { do: "html"; row: string; html: string }
  | { do: "share"; row: string; share: Share }
  /** Moves the panel to another slot on this band. */
  | { do: "place"; placement: Placement };

/** A rectangle on a page, in CSS px of its window. */
export interface Area {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Positions of elements on a page being arranged, for the rail beside it. */
export interface Standing {
  /** Rows of the open panel, as far as they are laid out. */
  rows: (Area & { id: string })[];
  /** The other panels of the page. */
  panels: (Area & { slug: string })[];
  /** Slots to which the panel can be dragged. */
  slots: (Area & { slot: Placement })[];
}
