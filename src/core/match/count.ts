import { type Bitmap, count, has, intersect } from "../index/bitmap.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { listOf } from "../index/postings.ts";
import { facetOptions, match, matchedProducts, productsOfList } from "./match.ts";
import type { Choices, Facet } from "./selection.ts";

/**
 * Live counts of a discrete facet, one number an option in the index's order: the products that the
 * shopper would get from that option (brief, section 5). For any-of, one-of and tree the option takes
 * the place of the facet's choice; for all-of it is added to it.
 */
export function liveCounts(index: CatalogueIndex, page: Bitmap, facets: readonly Facet[], choices: Choices, facet: Facet): Uint32Array {
  const { options, postings, level } = facetOptions(index, facet);
  const adds = facet.mode === "all";
  const base = match(index, page, facets, choices, adds ? undefined : facet.field);
  const counts = new Uint32Array(options.length);

  if (level === "product") {
    const products = matchedProducts(index, base);
    for (let o = 0; o < counts.length; o++) counts[o] = countList(products, listOf(postings, o));
    return counts;
  }
  if (adds || base.each.length === 0) {
    // No all-of choice hangs on the option's own variants, so products and variants can be judged apart.
    const products = adds ? matchedProducts(index, base) : base.products;
    for (let o = 0; o < counts.length; o++) {
      counts[o] = countProducts(index, listOf(postings, o), products, base.variants);
    }
    return counts;
  }
  for (let o = 0; o < counts.length; o++) {
    // The option narrows the variants in which each all-of choice must be found.
    const variants = narrowed(listOf(postings, o), base.variants, index.variants);
    const products = matchedProducts(index, { ...base, variants });
    counts[o] = count(products);
  }
  return counts;
}

/** Products of the page that state the facet, however it is chosen: the numerator of reach. */
export function stating(index: CatalogueIndex, page: Bitmap, facet: Facet): Bitmap {
  if (facet.mode === "range") {
    const { level, starts } = index.numbers(facet.field);
    const stated: number[] = [];
    for (let record = 0; record + 1 < starts.length; record++) if (starts[record] < starts[record + 1]) stated.push(record);
    return intersect(asProducts(index, Uint32Array.from(stated), level), page);
  }
  const { postings, level } = facetOptions(index, facet);
  return intersect(asProducts(index, postings.records, level), page);
}

/** How many products of the page some option of the facet can find. */
export const reachCount = (index: CatalogueIndex, page: Bitmap, facet: Facet): number => count(stating(index, page, facet));

/** Products that match a selection. */
export function matching(index: CatalogueIndex, page: Bitmap, facets: readonly Facet[], choices: Choices): Bitmap {
  return matchedProducts(index, match(index, page, facets, choices));
}

function asProducts(index: CatalogueIndex, records: Uint32Array, level: "product" | "variant"): Bitmap {
  if (level === "variant") return productsOfList(index, records);
  const bits = new Uint32Array((index.products + 31) >>> 5);
  for (const p of records) bits[p >>> 5] |= 1 << (p & 31);
  return bits;
}

function countList(products: Bitmap, list: Uint32Array): number {
  let total = 0;
  for (let i = 0; i < list.length; i++) total += (products[list[i] >>> 5] >>> (list[i] & 31)) & 1;
  return total;
}

/** Distinct products of a variant posting list; variants of one product stand together, so a repeat is the last one seen. */
function countProducts(index: CatalogueIndex, list: Uint32Array, products: Bitmap, variants: Bitmap | undefined): number {
  const { productOf } = index;
  let total = 0;
  let last = -1;
  for (let i = 0; i < list.length; i++) {
    const v = list[i];
    const p = productOf[v];
    if (p === last || (variants && !has(variants, v)) || !has(products, p)) continue;
    last = p;
    total++;
  }
  return total;
}

function narrowed(list: Uint32Array, variants: Bitmap | undefined, size: number): Bitmap {
  const bits = new Uint32Array((size + 31) >>> 5);
  for (const v of list) if (!variants || has(variants, v)) bits[v >>> 5] |= 1 << (v & 31);
  return bits;
}
