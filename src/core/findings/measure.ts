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
  /** What each row's worst step moves, where that was tried. */
  shifts?: readonly RowShift[];
}

/** What a page can measure by itself: everything but how high somebody's screen is. */
export type PageMeasure = Omit<Measure, "screen">;

/** A page's measure against a screen of so many px. */
export const onScreen = (measure: PageMeasure, height: number): Measure => ({
  ...measure,
  screen: height - measure.bars,
});

/** What a browser has measured on each band, as far as it has. */
export type Measures = Partial<Record<Band, Measure>>;
