import { fieldOf, firstValue, valuesOf } from "../../catalogue/catalogue.ts";
import { type Field, isFacetable } from "../../catalogue/field.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { cardOf } from "./card.ts";
import type { Card } from "./card-schema.ts";

/** All that a product's own page shows. */
export interface Product {
  card: Card;
  /** Its description; empty if there is none. */
  text: string;
  /** Its values of each field, over all its variants. */
  values: { field: Field; values: string[] }[];
}

/** A product by its id; undefined if there is none. */
export function productOf(index: CatalogueIndex, id: string): Product | undefined {
  const { catalogue } = index;
  const product = catalogue.productIds.indexOf(id);
  if (product < 0) return undefined;
  const [first, last] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
  const description = fieldOf(catalogue, "description");
  const values = catalogue.fields
    .filter((field) => isFacetable(field) && field.role !== "price" && field.role !== "list_price")
    .map((field) => ({
      field,
      values: [
        ...new Set(Array.from({ length: last - first }, (_, i) => valuesOf(catalogue, field.key, first + i)).flat()),
      ],
    }))
    .filter((one) => one.values.length > 0);
  return {
    card: cardOf(index, product, undefined, { fields: [], variants: true }),
    text: (description && firstValue(catalogue, description.key, first)) ?? "",
    values,
  };
}
