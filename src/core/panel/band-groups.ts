import { type Band, bands, resolve } from "../settings/band.ts";
import { behaviours } from "../settings/behaviour.ts";
import { settingNames, settingOn } from "../settings/settings.ts";
import { facetRows } from "./panel.ts";
import type { PanelDocument } from "./panel-schema.ts";

/** Bands on which a panel is the same, from wide to slim; the first stands for all of them. */
export type BandGroup = readonly [Band, ...Band[]];

/**
 * Groups the bands on which a panel is drawn alike: same placement, displays, settings and behaviour. A page drawn
 * before the width is known is drawn once per group.
 */
export function bandGroups(panel: Pick<PanelDocument, "placement" | "rows" | "behaviour">): BandGroup[] {
  const groups = new Map<string, [Band, ...Band[]]>();
  for (const band of bands) {
    const look = JSON.stringify([
      resolve(panel.placement, band),
      behaviours.allOn(panel.behaviour ?? {}, band),
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
