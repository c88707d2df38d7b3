import { stickyHeight } from "../../page/bars.ts";
import { bands } from "../../settings/band.ts";
import { firstScreens } from "../../settings/first-screen.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Maximum share of the first screen for sticky bars. */
const most = 0.25;

/** Sticky bars that leave little of the screen. */
export const tallBars: PageFindingKind = {
  name: "tall-bars",
  level: "warning",
  find({ page, pages }) {
    // All pages share the bars, so they are reported once.
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
