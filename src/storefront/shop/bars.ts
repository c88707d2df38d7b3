import { stickyHeights } from "../../core/page/bars.ts";
import type { Bar } from "../../core/page/pages-schema.ts";
import { bands, resolve } from "../../core/settings/band.ts";

/** How the heights of bars reach the style sheet: what is below them needs their sum. */
export const barsStyle = (bars: readonly Bar[]): Record<string, string> => {
  const sums = stickyHeights(bars);
  return Object.fromEntries(bands.map((band) => [`--zs-bars-${band}`, `${sums[band]}px`]));
};

/** The same for one bar: its own height, and its offset below the sticky bars before it. */
export function barStyle(bars: readonly Bar[], at: number): Record<string, string> {
  const above = stickyHeights(bars.slice(0, at));
  const bar = bars[at];
  if (!bar) return {};
  return Object.fromEntries(
    bands.flatMap((band) => [
      [`--zs-height-${band}`, `${resolve(bar.height, band)}px`],
      [`--zs-top-${band}`, resolve(bar.stays, band) ? `${above[band]}px` : "auto"],
    ]),
  );
}
