import { type Band, bands, resolve } from "../band/band.ts";
import { settingNames, settingOn } from "../setting/settings.ts";
import { facetRows } from "./panel.ts";
import type { PanelDocument } from "./panel-schema.ts";

/** Bands on which a panel is the same, from wide to slim; the first stands for all of them. */
export type BandGroup = readonly [Band, ...Band[]];

/**
 * The bands of a panel, those together on which it is drawn alike: in the same place, with the same displays and
 * settings. A page that knows no width yet is drawn once for each group.
 */
export function bandGroups(panel: Pick<PanelDocument, "placement" | "rows">): BandGroup[] {
  const groups = new Map<string, [Band, ...Band[]]>();
  for (const band of bands) {
    const look = JSON.stringify([
      resolve(panel.placement, band),
      facetRows(panel).map(({ display, settings }) => [
        resolve(display, band),
        settingNames.map((name) => settingOn(settings, name, band)),
      ]),
    ]);
    const alike = groups.get(look);
    if (alike) alike.push(band);
    else groups.set(look, [band]);
  }
  return [...groups.values()];
}

const known = new WeakMap<object, BandGroup[]>();

/** The group that a band of a panel belongs to, worked out once for a panel. */
export function groupOn(panel: Pick<PanelDocument, "placement" | "rows">, band: Band): BandGroup {
  const groups = known.get(panel) ?? bandGroups(panel);
  known.set(panel, groups);
  return groups.find((group) => group.includes(band)) ?? [band];
}
