import type { PageFindingKind } from "./page-finding.ts";

/** A page that lists products and has none. */
export const emptyPage: PageFindingKind = {
  name: "empty-page",
  level: "error",
  find: ({ page, answer }) =>
    answer.outOf === 0 && page.kind !== "search" && page.layout.listing
      ? [{ words: "This page has no products. Check its conditions." }]
      : [],
};
