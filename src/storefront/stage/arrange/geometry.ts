import type { Share } from "../../../core/setting/settings.ts";

/** A row on the page, in CSS px of the document. */
export interface RowBox {
  id: string;
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The shares that an edge can be dragged to. */
export type DraggedShare = Exclude<Share, "auto">;

const shares: readonly [share: DraggedShare, of: number][] = [
  ["quarter", 1 / 4],
  ["third", 1 / 3],
  ["half", 1 / 2],
  ["full", 1],
];

/** The share of a panel's width that a width in px is nearest to. */
export function nearestShare(width: number, panel: number): DraggedShare {
  const wanted = width / panel;
  return shares.reduce((best, one) => (Math.abs(one[1] - wanted) < Math.abs(best[1] - wanted) ? one : best))[0];
}

/**
 * The place among rows that a point is dropped at: before the first row of which the point is in the upper half, or at
 * its start where rows stand side by side.
 */
export function dropPlace(rows: readonly RowBox[], x: number, y: number): number {
  const at = rows.findIndex(({ left, right, top, bottom }) => {
    if (y < top) return true;
    if (y > bottom) return false;
    const beside = rows.some((other) => other.left !== left && other.top < bottom && other.bottom > top);
    return beside ? x < (left + right) / 2 : y < (top + bottom) / 2;
  });
  return at < 0 ? rows.length : at;
}
