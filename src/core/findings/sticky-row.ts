import { freeScreenShare, minFreeShare } from "../page/sticky-row.ts";
import { bands, resolve } from "../settings/band.ts";
import { behaviours } from "../settings/behaviour.ts";
import { placementFacts } from "../settings/placement.ts";
import type { FindingDraft, FindingKind } from "./finding.ts";

/** A sticky row above the products that is too high to stay in sight. */
export const stickyRow: FindingKind = {
  name: "sticky-row",
  level: "warning",
  needs: "measures",
  find: ({ panel, measures }) =>
    bands.flatMap((band): FindingDraft[] => {
      const measure = measures[band];
      const { sticky, nudge } = behaviours.allOn(panel.behaviour ?? {}, band);
      if (!measure || !sticky || placementFacts[resolve(panel.placement, band)].sticks !== "row") return [];
      const { bars } = measure;
      const free = freeScreenShare(bars + nudge, measure.panel, measure.screen + bars);
      if (free >= minFreeShare) return [];
      return [
        {
          band,
          words: `On ${band} the panel is ${measure.panel} px high, which leaves ${Math.floor(free * 100)}% of the screen. It scrolls away, since a sticky row must leave ${minFreeShare * 100}%.`,
        },
      ];
    }),
};
