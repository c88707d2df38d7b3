import { fieldOf } from "../catalogue/catalogue.ts";
import type { FieldRole } from "../catalogue/field.ts";
import { toNumber } from "../catalogue/values.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";

/** The orders that a listing offers. */
export const sorts = ["catalogue", "price-up", "price-down", "newest", "rating", "title"] as const;
export type Sort = (typeof sorts)[number];

const fieldOfSort: Record<Exclude<Sort, "catalogue">, FieldRole> = {
  "price-up": "price",
  "price-down": "price",
  newest: "published",
  rating: "rating",
  title: "title",
};

/** The sorts that this catalogue has the fields for. */
export function sortsFor(index: CatalogueIndex): Sort[] {
  return sorts.filter((sort) => sort === "catalogue" || fieldOf(index.catalogue, fieldOfSort[sort]) !== undefined);
}

/**
 * Product numbers in the asked order, the catalogue's own between equals; products that do not state
 * the field come last. A price is a product's lowest.
 */
export function sortProducts(index: CatalogueIndex, products: Uint32Array, sort: Sort): Uint32Array {
  if (sort === "catalogue") return products;
  const field = fieldOf(index.catalogue, fieldOfSort[sort]);
  const column = field && index.catalogue.columns.get(field.key);
  if (!field || !column) return products;
  const { variantStart } = index.catalogue;
  if (sort === "title") {
    const collator = new Intl.Collator(undefined, { numeric: true });
    const titles = new Map<number, string>();
    for (const p of products) titles.set(p, column.spellings[column.codes[column.starts[variantStart[p]]]] ?? "");
    return products.slice().sort((a, b) => collator.compare(titles.get(a) ?? "", titles.get(b) ?? "") || a - b);
  }
  const numbers = column.spellings.map((text) => toNumber(text, field.kind));
  const keys = new Map<number, number>();
  const down = sort !== "price-up";
  for (const p of products) {
    let lowest = Number.POSITIVE_INFINITY;
    for (let i = column.starts[variantStart[p]]; i < column.starts[variantStart[p + 1]]; i++) {
      if (numbers[column.codes[i]] < lowest) lowest = numbers[column.codes[i]];
    }
    keys.set(p, lowest === Number.POSITIVE_INFINITY ? lowest : down ? -lowest : lowest);
  }
  const key = (p: number) => keys.get(p) as number;
  return products.slice().sort((a, b) => (key(a) === key(b) ? a - b : key(a) - key(b)));
}
