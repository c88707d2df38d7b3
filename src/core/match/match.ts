import { type Bitmap, emptyBitmap, forEach, insert, intersect } from "../index/bitmap.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Level, NumberIndex, OptionIndex } from "../index/facet-index.ts";
import { listOf } from "../index/postings.ts";
import { type Choice, type Choices, type Facet, optionsOf, type Range, rangeOf } from "./selection.ts";

/**
 * Products and variants that satisfy a selection, kept apart the way the definition of a match
 * needs them (brief, section 5).
 */
export interface Match {
  /** Products for which every product-level facet holds. */
  products: Bitmap;
  /** Variants that satisfy all variant-level any-of, one-of, tree and range choices at once; undefined when there is none. */
  variants: Bitmap | undefined;
  /** Postings of each option chosen in a variant-level all-of facet. */
  each: Uint32Array[];
}

/** Which records a facet's index speaks of. */
export function levelOfFacet(index: CatalogueIndex, facet: Facet): Level {
  return facet.mode === "range" ? index.numbers(facet.field).level : index.options(facet.field, facet.mode === "tree").level;
}

/** The discrete options of a facet that is not a range. */
export const facetOptions = (index: CatalogueIndex, facet: Facet): OptionIndex => index.options(facet.field, facet.mode === "tree");

/**
 * Works out a selection, with one facet's choice left out when `without` names its field.
 * Facets that are not given are not looked at: a choice needs its facet's mode to have a meaning.
 */
export function match(index: CatalogueIndex, page: Bitmap, facets: readonly Facet[], choices: Choices, without?: string): Match {
  const result: Match = { products: page.slice(), variants: undefined, each: [] };
  for (const facet of facets) {
    const choice = choices[facet.field];
    if (choice && facet.field !== without) restrict(index, result, facet, choice);
  }
  return result;
}

/** Narrows a match by one facet's choice, in place. */
export function restrict(index: CatalogueIndex, result: Match, facet: Facet, choice: Choice): void {
  if (facet.mode === "range") {
    const numbers = index.numbers(facet.field);
    if (numbers.level === "product") intersect(result.products, inRange(numbers, rangeOf(choice), index.products));
    else narrow(result, inRange(numbers, rangeOf(choice), index.variants));
    return;
  }
  const options = facetOptions(index, facet);
  const lists = optionsOf(choice).map((id) => postingsOf(options, id));
  if (facet.mode === "all") {
    if (options.level === "variant") result.each.push(...lists);
    else for (const list of lists) intersect(result.products, insert(emptyBitmap(index.products), list));
    return;
  }
  const size = options.level === "product" ? index.products : index.variants;
  const some = emptyBitmap(size);
  for (const list of lists) insert(some, list);
  if (options.level === "product") intersect(result.products, some);
  else narrow(result, some);
}

/** The products of a match, all conditions taken together. */
export function matchedProducts(index: CatalogueIndex, { products, variants, each }: Match): Bitmap {
  const result = products.slice();
  if (variants) intersect(result, productsOf(index, variants));
  for (const list of each) intersect(result, productsOfList(index, list, variants));
  return result;
}

/** Products that have at least one of the variants. */
export function productsOf(index: CatalogueIndex, variants: Bitmap): Bitmap {
  const { productOf } = index;
  const result = emptyBitmap(index.products);
  forEach(variants, (v) => {
    const p = productOf[v];
    result[p >>> 5] |= 1 << (p & 31);
  });
  return result;
}

/** Products that have a variant of the posting list which is also in `variants`, when that is given. */
export function productsOfList(index: CatalogueIndex, list: Uint32Array, variants?: Bitmap): Bitmap {
  const { productOf } = index;
  const result = emptyBitmap(index.products);
  for (let i = 0; i < list.length; i++) {
    const v = list[i];
    if (variants && (variants[v >>> 5] & (1 << (v & 31))) === 0) continue;
    const p = productOf[v];
    result[p >>> 5] |= 1 << (p & 31);
  }
  return result;
}

/** Whether some value of the range lies between its ends, both included. */
export const within = (value: number, { min, max }: Range): boolean => (min === undefined || value >= min) && (max === undefined || value <= max);

const nothing = new Uint32Array();

/** An option that the catalogue no longer states finds nothing. */
function postingsOf(options: OptionIndex, id: string): Uint32Array {
  const at = options.at.get(id);
  return at === undefined ? nothing : listOf(options.postings, at);
}

function inRange({ starts, values }: NumberIndex, range: Range, size: number): Bitmap {
  const bits = emptyBitmap(size);
  for (let record = 0; record < size; record++) {
    for (let i = starts[record]; i < starts[record + 1]; i++) {
      if (within(values[i], range)) bits[record >>> 5] |= 1 << (record & 31);
    }
  }
  return bits;
}

function narrow(result: Match, variants: Bitmap): void {
  if (result.variants) intersect(result.variants, variants);
  else result.variants = variants;
}
