import type { Field, FieldRole } from "../catalogue/field.ts";
import { orderBy } from "../catalogue/value-order.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";

/**
 * An order of products: field keys joined by commas, the first most important, a `-` in front of those that
 * fall. Empty for the catalogue's own order. It is also what stands in an address.
 */
export type Sort = string;

/** One field of an order. */
export interface SortKey {
  field: string;
  down: boolean;
}

/** The keys of an order, those of unknown fields left out. */
export const sortKeys = (sort: Sort, known: (field: string) => boolean): SortKey[] =>
  sort
    .split(",")
    .map((part) => (part.startsWith("-") ? { field: part.slice(1), down: true } : { field: part, down: false }))
    .filter(({ field }) => known(field));

/** The orders that a listing offers until the designer chooses others, as far as the catalogue has the fields. */
export function usualSorts(fields: readonly Field[]): { sort: Sort; label: string }[] {
  const offered: [role: FieldRole, down: boolean, label: string][] = [
    ["price", false, "Price, low to high"],
    ["price", true, "Price, high to low"],
    ["published", true, "Newest first"],
    ["rating", true, "Best rated"],
    ["title", false, "Name, A to Z"],
  ];
  const found = offered.flatMap(([role, down, label]) => {
    const field = fields.find((one) => one.role === role);
    return field ? [{ sort: `${down ? "-" : ""}${field.key}`, label }] : [];
  });
  return [{ sort: "", label: "Shop’s order" }, ...found];
}

/**
 * Product numbers in an order, the catalogue's own between equals; products that do not state the field
 * come last. A product with several values, such as prices of its variants, stands where its lowest does,
 * which is the one that a listing shows.
 */
export function sortProducts(index: CatalogueIndex, products: Uint32Array, sort: Sort): Uint32Array {
  const keys = sortKeys(sort, (field) => index.field(field) !== undefined);
  if (keys.length === 0) return products;
  return orderBy(
    products,
    keys.map(({ field, down }) => ({ of: lowest(index, field, products), down })),
  );
}

function lowest(index: CatalogueIndex, key: string, products: Uint32Array): Float64Array {
  const { columns, variantStart } = index.catalogue;
  const column = columns.get(key);
  if (!column) return new Float64Array(products.length).fill(Number.NaN);
  const places = index.places(key);
  const { starts, codes } = column;
  return Float64Array.from(products, (p) => {
    let low = Number.NaN;
    for (let i = starts[variantStart[p]]; i < starts[variantStart[p + 1]]; i++) {
      const place = places[codes[i]];
      if (Number.isNaN(low) || place < low) low = place;
    }
    return low;
  });
}
