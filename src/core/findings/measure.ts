import type { Band } from "../settings/band.ts";
import type { RowShift } from "./layout-shift.ts";

/** How high the rows of a panel stand on one band, in CSS px, as a page has measured them. */
export interface Measure {
  rows: Readonly<Record<string, number>>;
  panel: number;
  /** Height of the first screen, less the shop's fixed bars. */
  screen: number;
  /** Height of the shop's fixed bars. */
  bars: number;
  /** How far below the fixed bars the first product stands. */
  products: number;
  /** How many cards of products stand in a row, and how high a row is with the gap below it, where there are any. */
  cards?: { columns: number; height: number } | undefined;
  /** The largest shift of each row's steps, where it was measured. */
  shifts?: readonly RowShift[];
}

/** The measurements that a page can make by itself: everything but the height of somebody's screen. */
export type PageMeasure = Omit<Measure, "screen">;

/** A page's measure against a screen of so many px. */
export const onScreen = (measure: PageMeasure, height: number): Measure => ({
  ...measure,
  screen: height - measure.bars,
});

/** A browser's measurements on each band, as far as there are any. */
export type Measures = Partial<Record<Band, Measure>>;
