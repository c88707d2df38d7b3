import { orderBy } from "../catalogue/value-order.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Sort } from "./question.ts";
import { sortKeys } from "./sort-keys.ts";

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
    for (let i = starts[variantStart[p] ?? 0] ?? 0; i < (starts[variantStart[p + 1] ?? 0] ?? 0); i++) {
      const place = places[codes[i] ?? 0] ?? Number.NaN;
      if (Number.isNaN(low) || place < low) low = place;
    }
    return low;
  });
}
