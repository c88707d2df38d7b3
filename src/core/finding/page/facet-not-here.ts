import type { PageFindingKind } from "./page-finding.ts";

/** Facets of which no product of the page states anything: they drop out. */
export const facetNotHere: PageFindingKind = {
  name: "facet-not-here",
  level: "note",
  find: ({ facets, answer }) =>
    answer.outOf === 0
      ? []
      : facets
          .filter(({ reach }) => reach === 0)
          .map(({ panel, row, title }) => ({
            panel,
            row,
            words: `${title}: none of the ${answer.outOf} products of this page states it, so it is not shown here.`,
          })),
};
