/** Where a panel can be on a page, and what follows from that. */
interface PlacementFacts {
  /**
   * Its form there: a column or row of the page, a box in a text, collapsed behind a button in place, a drawer over
   * the page, or not shown.
   */
  form: "column" | "row" | "inset" | "folded" | "drawer" | "hidden";
  /** Its slot on the page. Default: none, as a drawer is over the page. */
  slot?: Slot;
  /** Content the page must have. Default: none, any page has the slot. */
  needs?: "products" | "article";
  /** Out of sight for shoppers looking through the products. Default: in sight. */
  apart?: true;
  /** How it can stay in sight while the page scrolls: as a column beside the products, or as a row above them. */
  sticks?: "column" | "row";
}

/** The slots of a page: in the shop's header, around the products, in the text, or where no product matches. */
export type Slot = "header" | "left" | "above" | "right" | "article" | "nothing";

const facts = {
  left: { form: "column", slot: "left", needs: "products", sticks: "column" },
  right: { form: "column", slot: "right", needs: "products", sticks: "column" },
  above: { form: "row", slot: "above", needs: "products", sticks: "row" },
  header: { form: "row", slot: "header" },
  drawer: { form: "drawer", needs: "products" },
  folded: { form: "folded", slot: "above", needs: "products" },
  article: { form: "inset", slot: "article", needs: "article", apart: true },
  nothing: { form: "row", slot: "nothing", needs: "products", apart: true },
  absent: { form: "hidden", apart: true },
} satisfies Record<string, PlacementFacts>;

export type Placement = keyof typeof facts;

/** The facts of each placement. */
export const placementFacts: Readonly<Record<Placement, PlacementFacts>> = facts;

/** The placements, in menu order. */
export const placements = Object.keys(facts) as Placement[];

/** Whether a page has a place for a placement. @param page whether it is an article, and whether it lists products */
export const fitsPage = (placement: Placement, page: { isArticle: boolean; listing: boolean }): boolean => {
  const { needs } = placementFacts[placement];
  return needs === undefined || (needs === "article" ? page.isArticle : page.listing);
};

/** Whether a panel there has a button that opens it. */
export const hasButton = (placement: Placement): boolean =>
  ["drawer", "folded"].includes(placementFacts[placement].form);

type Box = readonly [x: number, y: number, width: number, height: number];

/** The label and icon of a placement. */
export interface PlacementPicture {
  label: string;
  /** The products on a page of 40 by 24, and the panel, if shown. */
  products: Box;
  panel?: Box;
  /** Additional strokes, as an SVG path. */
  mark?: string;
}

/** Separate from the facts, so that shoppers' scripts do not contain it. */
export const placementPictures: Readonly<Record<Placement, PlacementPicture>> = {
  left: { label: "Left of the products", panel: [1, 1, 11, 22], products: [15, 1, 24, 22] },
  right: { label: "Right of the products", panel: [28, 1, 11, 22], products: [1, 1, 24, 22] },
  above: { label: "Above the products", panel: [1, 1, 38, 8], products: [1, 12, 38, 11] },
  header: { label: "In the header of the shop", panel: [0, 0, 40, 6], products: [1, 9, 38, 14] },
  drawer: {
    label: "In a drawer, behind a button",
    panel: [1, 1, 20, 22],
    products: [1, 1, 38, 22],
    mark: "M32 8l-4 4 4 4",
  },
  folded: {
    label: "Folded, behind a button",
    panel: [1, 1, 13, 6],
    products: [1, 10, 38, 13],
    mark: "M18 3l3 3 3-3",
  },
  article: {
    label: "In the text of an article",
    panel: [22, 6, 17, 12],
    products: [1, 1, 38, 22],
    mark: "M5 6h13M5 11h13M5 16h13",
  },
  nothing: {
    label: "Only when no products match",
    panel: [8, 12, 24, 8],
    products: [1, 1, 38, 22],
    mark: "M17 4l6 5M23 4l-6 5",
  },
  absent: { label: "Hidden on this band", products: [1, 1, 38, 22] },
};
