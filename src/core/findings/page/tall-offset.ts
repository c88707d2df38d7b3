import { stickyHeight } from "../../page/bars.ts";
import { bands, resolve } from "../../settings/band.ts";
import { behaviourOff, behaviours } from "../../settings/behaviour.ts";
import { firstScreens } from "../../settings/first-screen.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Minimum share of the screen for a sticky panel. */
const least = 0.4;

/** A sticky panel whose offset leaves it almost none of the screen, or starts it above the top. */
export const tallOffset: PageFindingKind = {
  name: "tall-offset",
  level: "error",
  find: ({ page, pages, panels }) =>
    page.layout.panels.flatMap(({ panel, at }) => {
      const own = panels.get(panel);
      if (!own) return [];
      return bands.flatMap((band) => {
        const values = own.behaviour ?? {};
        if (!behaviours.on(values, "sticky", band) || behaviourOff("sticky", resolve(at ?? own.placement, band)))
          return [];
        const offset = stickyHeight(pages.bars, band) + behaviours.on(values, "nudge", band);
        const { height } = firstScreens[band];
        if (offset >= 0 && height - offset >= height * least) return [];
        const words =
          offset < 0
            ? `“${own.name}” sticks ${-offset} px above the top on ${band}, where its top is out of sight.`
            : `“${own.name}” sticks ${offset} px below the top on ${band}, which leaves ${Math.max(0, height - offset)} of ${height} px for it.`;
        return [{ panel, words }];
      });
    }),
};
