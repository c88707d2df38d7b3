import { orderBy } from "../catalogue/order-by.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import type { Sort } from "./question.ts";
import { type SortKey, sortKeys } from "./sort-keys.ts";

/**
 * Product numbers in an order, ties in the catalogue's order, products without a value last. A product with several
 * values, such as its variants' prices, is placed by its lowest, or in descending order by its highest.
 * @param matches whether a variant counts; all by default. The values of others are ignored
 */
export function sortProducts(
  index: CatalogueIndex,
  products: Uint32Array,
  sort: Sort,
  matches?: (variant: number) => boolean,
): Uint32Array {
  const keys = sortKeys(sort, (field) => index.field(field) !== undefined);
  if (keys.length === 0) return products;
  return orderBy(
    products,
    keys.map((key) => ({ of: outermost(index, key, products, matches), down: key.down })),
  );
}

/** Product numbers by descending score, ties in the catalogue's order. @param scores by product */
export const byRelevance = (products: Uint32Array, scores: Float64Array): Uint32Array =>
  orderBy(products, [{ of: Float64Array.from(products, (product) => scores[product] ?? 0), down: true }]);

/** Product numbers in the order of a list of ids; those that are not in it come last. */
export function byPlace(index: CatalogueIndex, products: Uint32Array, ids: readonly string[]): Uint32Array {
  const places = new Map(ids.map((id, place) => [id, place]));
  const place = (product: number) => places.get(index.catalogue.productIds[product] ?? "") ?? Number.NaN;
  return orderBy(products, [{ of: Float64Array.from(products, place), down: false }]);
}

function outermost(
  index: CatalogueIndex,
  { field, down }: SortKey,
  products: Uint32Array,
  matches: ((variant: number) => boolean) | undefined,
): Float64Array {
  const { columns, variantStart } = index.catalogue;
  const column = columns.get(field);
  if (!column) return new Float64Array(products.length).fill(Number.NaN);
  const places = index.places(field);
  const { starts, codes } = column;
  const chosen = matches && index.level(field) === "variant" ? matches : undefined;
  return Float64Array.from(products, (p) => {
    let best = Number.NaN;
    for (let v = variantStart[p] ?? 0; v < (variantStart[p + 1] ?? 0); v++) {
      if (chosen && !chosen(v)) continue;
      for (let i = starts[v] ?? 0; i < (starts[v + 1] ?? 0); i++) {
        const place = places[codes[i] ?? 0] ?? Number.NaN;
        if (Number.isNaN(best) || (down ? place > best : place < best)) best = place;
      }
    }
    return best;
  });
}
