import type { Range } from "./range-schema.ts";

/** Whether a number lies in a range. */
export const holds = ({ min, max, below }: Range, value: number): boolean =>
  (min === undefined || value >= min) && (max === undefined || value <= max) && (below === undefined || value < below);

/** Whether a range has no ends at all. */
export const isOpen = ({ min, max, below }: Range): boolean =>
  min === undefined && max === undefined && below === undefined;

/** Whether two ranges are the same. */
export const isSameRange = (a: Range, b: Range): boolean => a.min === b.min && a.max === b.max && a.below === b.below;
