/**
 * Where a panel stands on a page: beside or above the products, in the shop's header, behind a button in a drawer or
 * folded where it stands, in the text of an article, where nothing is found, or not at all.
 */
export const placements = [
  "left",
  "right",
  "above",
  "header",
  "drawer",
  "folded",
  "article",
  "nothing",
  "absent",
] as const;
export type Placement = (typeof placements)[number];
