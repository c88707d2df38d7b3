import { type DisplayName, displays } from "../displays/displays.ts";
import { shownAtOnce } from "../displays/seeking.ts";
import { densityOf } from "../displays/shop-facts.ts";
import type { Band } from "../settings/band.ts";
import type { FacetSettings } from "../settings/settings.ts";

/** Heights in CSS px of the parts of a facet in the default look, larger on narrow screens for touch. */
const parts = (band: Band) =>
  band === "slim" ? { title: 56, line: 44, control: 52, range: 150 } : { title: 48, line: 30, control: 44, range: 140 };
/** Number of options in a row of swatches or tiles. */
const aRow = 5;

/**
 * Estimated height of a facet that no browser has measured, in CSS px. Good enough to find the facets below the
 * first screen; not a measurement.
 */
export function estimatedHeight(display: DisplayName, settings: FacetSettings, options: number, band: Band): number {
  const { room } = displays[display];
  const { title, line, control, range } = parts(band);
  const head = settings.title ? title : 12;
  if (settings.title && settings.start === "folded") return head;
  const shown = shownAtOnce(densityOf(display, settings), settings, options);
  const more = shown < options ? line : 0;
  switch (room) {
    case "control":
      return head + control;
    case "range":
      return head + range;
    case "lines":
    case "rows": {
      const beside = room === "rows" || settings.flow === "row" ? aRow : Math.max(1, settings.columns);
      const list = Math.ceil(shown / beside) * line + more;
      return head + (settings.maxHeight > 0 ? Math.min(list, settings.maxHeight) : list);
    }
  }
}
