import { orderVariants } from "../catalogue/variant-order.ts";
import { baseOf, searchedIn } from "./base.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import { Matcher } from "./matcher.ts";
import type { Facet, Selection } from "./question.ts";

/** Which variants a table shows, and in which order. */
export interface VariantQuery {
  facets: readonly Facet[];
  selection: Selection;
  /** Ids of the only products that it shows; all when absent. */
  only?: readonly string[];
  /** Field key; the catalogue's order when absent. */
  sort?: { field: string; down: boolean };
}

/** Variants of matching products that meet the choices themselves. */
export function findVariants(index: CatalogueIndex, { facets, selection, only, sort }: VariantQuery): Uint32Array {
  const page = searchedIn(index, baseOf(index, only ? [[{ products: [...only] }]] : []), selection.text);
  const variants = new Matcher(index, page, facets, selection.choices).variantIds();
  return sort ? orderVariants(index.catalogue, sort.field, variants, sort.down) : variants;
}
