/** How products are shown: as a grid of cards, as a list of cards, or as rows of a table. */
export const listForms = ["grid", "list", "table"] as const;

export type ListingForm = (typeof listForms)[number];

/** How more than a page of products is shown: by links to pages, behind a button, or while scrolling. */
export const moreWays = ["pages", "button", "scroll"] as const;

export type MoreWay = (typeof moreWays)[number];

/** The parts that a card or a cell of a table can show. */
export const cellParts = [
  "picture",
  "title",
  "text",
  "price",
  "rating",
  "stock",
  "field",
  "variant",
  "basket",
] as const;

export type CellPart = (typeof cellParts)[number];

/** Shapes of pictures, as width to height. */
export const ratios = { square: 1, wide: 4 / 3, tall: 3 / 4 } as const;

export type Ratio = keyof typeof ratios;
