import type { PageFindingKind } from "./page-finding.ts";

/** Facets without any option on the page: they are left out. */
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
            words: `${title}: no product of this page (${answer.outOf} in all) has any of its options, so it is not shown here.`,
          })),
};
