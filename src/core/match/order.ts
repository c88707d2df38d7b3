import type { Field, FieldRole } from "../catalogue/field.ts";
import { orderBy } from "../catalogue/value-order.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Sort } from "./question.ts";

/** One field of an order. */
export interface SortKey {
  field: string;
  down: boolean;
}

/** Fields that an order goes by at most. */
const mostSortKeys = 8;

/** The keys of an order, those of unknown fields left out. */
export const sortKeys = (sort: Sort, known: (field: string) => boolean): SortKey[] =>
  sort
    .split(",")
    .map((part) => (part.startsWith("-") ? { field: part.slice(1), down: true } : { field: part, down: false }))
    // A field that comes again changes nothing any more.
    .filter(({ field }, at, all) => known(field) && all.findIndex((one) => one.field === field) === at)
    .slice(0, mostSortKeys);

/** The orders that a listing can offer, by what they go by; what each is called is the listing's affair. */
export type UsualSort = "shop" | "cheap" | "dear" | "new" | "rated" | "name";

/** The orders that a listing offers until the designer chooses others, as far as the catalogue has the fields. */
export function usualSorts(fields: readonly Field[]): { sort: Sort; goesBy: UsualSort }[] {
  const offered: [role: FieldRole, down: boolean, goesBy: UsualSort][] = [
    ["price", false, "cheap"],
    ["price", true, "dear"],
    ["published", true, "new"],
    ["rating", true, "rated"],
    ["title", false, "name"],
  ];
  const found = offered.flatMap(([role, down, goesBy]) => {
    const field = fields.find((one) => one.role === role || (role === "title" && one.titles));
    return field ? [{ sort: `${down ? "-" : ""}${field.key}`, goesBy }] : [];
  });
  return [{ sort: "", goesBy: "shop" }, ...found];
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
