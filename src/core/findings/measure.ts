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
  /** Distance from the fixed bars to the first product. */
  products: number;
  /** Number of product cards per row, and the row height including the gap, if there are any. */
  cards?: { columns: number; height: number } | undefined;
  /** The largest shift of each row's steps, where it was measured. */
  shifts?: readonly RowShift[];
}

/** The measurements a page can make without knowing the visitor's screen height. */
export type PageMeasure = Omit<Measure, "screen">;

/** A page's measurements for a screen height in px. */
export const onScreen = (measure: PageMeasure, height: number): Measure => ({
  ...measure,
  screen: height - measure.bars,
});

/** A browser's measurements on each band, as far as there are any. */
export type Measures = Partial<Record<Band, Measure>>;
