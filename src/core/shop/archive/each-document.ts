import type { DocumentKind } from "../../document/kind.ts";
import { kinds } from "../kinds.ts";
import type { WholeShop } from "./whole-shop.ts";

/** A document of a whole shop, with its kind and, of a kind of which there are many, its place in addresses. */
export interface PlacedDocument {
  kind: DocumentKind<object>;
  slug: string | undefined;
  document: object;
}

/** Every document of a whole shop. */
export const eachDocument = ({
  shop,
  pages,
  swatches,
  mends,
  panels,
  looks,
}: Omit<WholeShop, "catalogue" | "pictures">): PlacedDocument[] => [
  { kind: kinds.shop, slug: undefined, document: shop },
  { kind: kinds.pages, slug: undefined, document: pages },
  { kind: kinds.swatches, slug: undefined, document: swatches },
  { kind: kinds.mends, slug: undefined, document: mends },
  ...panels.map(({ slug, document }) => ({ kind: kinds.panel, slug, document })),
  ...looks.map(({ slug, document }) => ({ kind: kinds.look, slug, document })),
];
