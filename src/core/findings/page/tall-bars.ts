import { stickyHeight } from "../../page/bars.ts";
import { bands } from "../../settings/band.ts";
import { firstScreens } from "../../settings/first-screen.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Share of the first screen that bars which stay may take. */
const most = 0.25;

/** Bars that stay at the top and leave little of the screen. */
export const tallBars: PageFindingKind = {
  name: "tall-bars",
  level: "warning",
  find({ page, pages }) {
    // Every page has the same bars: they are told of once.
    if (page.kind !== "shop") return [];
    return bands.flatMap((band) => {
      const height = stickyHeight(pages.bars, band);
      const screen = firstScreens[band].height;
      return height > screen * most
        ? [{ words: `On ${band} the fixed bars cover ${height} of ${screen} px of the screen.` }]
        : [];
    });
  },
};
