import { minReach } from "../low-reach.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Facets that many products of the page do not state, so that they vanish with any choice. */
export const lowReachHere: PageFindingKind = {
  name: "low-reach-here",
  level: "warning",
  find: ({ facets, answer: { outOf } }) =>
    facets
      // Two panels that offer the same have the same reach.
      .filter(({ field, reach }, at) => facets.findIndex((one) => one.field === field && one.reach === reach) === at)
      .filter(({ reach }) => reach > 0 && reach < outOf * minReach)
      .map(({ panel, row, title, reach }) => ({
        panel,
        row,
        words: `The options of ${title} find ${reach} of the ${outOf} products of this page; the other ${outOf - reach} disappear once it is used.`,
      })),
};
