import type { Share } from "../../../core/settings/settings.ts";
import type { Area } from "../../../storefront/stage/arrange/act.ts";

/** Height of a row's head in a rail, in CSS px. */
export const headHeight = 26;

/** A row on the page, in CSS px of the page's window. */
export type RowBox = Area & { id: string };

/** The shares that a width can be dragged to, of the panel's width. */
export type DraggedShare = Exclude<Share, "auto">;
export const draggedShares: readonly [share: DraggedShare, of: number][] = [
  ["quarter", 1 / 4],
  ["third", 1 / 3],
  ["half", 1 / 2],
  ["full", 1],
];

/** The share of a panel's width closest to a width in px. */
export function nearestShare(width: number, panel: number): DraggedShare {
  const wanted = width / panel;
  return draggedShares.reduce((best, one) => (Math.abs(one[1] - wanted) < Math.abs(best[1] - wanted) ? one : best))[0];
}

/** The horizontal extent of a panel's rows. */
export const spanOf = (rows: readonly RowBox[]): { left: number; right: number } => ({
  left: Math.min(...rows.map(({ left }) => left)),
  right: Math.max(...rows.map(({ right }) => right)),
});

/**
 * The drop index among rows for a point: before the first row with the point in its upper half, or in its first half
 * where rows are side by side.
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

/** Whether a point is in an area. */
export const isIn = ({ left, right, top, bottom }: Area, x: number, y: number): boolean =>
  x >= left && x <= right && y >= top && y <= bottom;

/**
 * Positions of heads in a rail: each beside its row, moved down if it would overlap the previous one.
 * @param tops of the rows, in order; undefined for those not laid out
 * @param high height of one head
 * @param first lowest position of the first
 */
export function headPlaces(tops: readonly (number | undefined)[], high: number, first: number): number[] {
  let next = first;
  return tops.map((top) => {
    const place = Math.max(next, top ?? next);
    next = place + high;
    return place;
  });
}
