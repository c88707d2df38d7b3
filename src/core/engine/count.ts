import { countAt } from "../catalogue/numbers/tally.ts";
import { productsOf } from "./base.ts";
import { type Bitmap, complement, count, countBoth, emptyBitmap, has, intersect, set, toIds } from "./index/bitmap.ts";
import type { Forward, OptionIndex } from "./index/facet-index.ts";
import { postingsOf } from "./index/postings.ts";
import { facetOptions, type Matcher, matchedProducts } from "./matcher.ts";
import type { Facet } from "./question.ts";

/**
 * Live counts of a discrete facet, one per option in the index's order: the number of products after choosing that
 * option. For any-of, one-of and tree the option replaces the facet's choice; for all-of it is added.
 */
export function liveCounts(matcher: Matcher, facet: Facet): Uint32Array {
  const options = facetOptions(matcher.index, facet);
  const without = facet.mode === "all" ? undefined : facet.field;
  if (options.level === "product") return countProducts(options, matcher, without);
  // An all-of choice of another facet must also hold within the variants left by the counted option.
  if (facet.mode !== "all" && matcher.match(without).each.length > 0) return countOneByOne(options, matcher, without);
  // The facet's own all-of choice constrains products only; the option itself needs a matching variant.
  return countVariants(options, matcher.variantIds(without), matcher.index.productOf);
}

/** Products of the page found by any option of the facet: the numerator of reach. */
function stating(matcher: Matcher, facet: Facet): Bitmap {
  const { level, bits } = matcher.index.stating(facet.field, facet.mode === "range");
  if (level === "product") return intersect(bits.slice(), matcher.products());
  const { variants, products } = matcher.match();
  const found = variants ? intersect(bits.slice(), variants) : bits;
  return intersect(productsOf(matcher.index, found), products);
}

/** The products of a page that no option of the facet finds, in ascending order. @param page with nothing chosen */
export const productsWithoutValue = (page: Matcher, facet: Facet): Uint32Array =>
  toIds(intersect(complement(stating(page, facet), page.index.products), page.products()));

/** How many products of a page some option of the facet can find. @param page with nothing chosen */
export const reachCount = (page: Matcher, facet: Facet): number => count(stating(page, facet));

/**
 * Relative cost of a step of each way of counting, compared with ANDing two words of bitmaps. Measured with `npm run
 * bench`; affects speed only.
 */
const walkCost = 2.5;
const listCost = 2.5;

/** Bitmaps compare 32 records at a time, lists one by one; the cheaper is used. */
function countProducts(index: OptionIndex, matcher: Matcher, without: string | undefined): Uint32Array {
  const { options, postings, forward, bits } = index;
  const products = matcher.products(without);
  const size = matcher.size(without);
  const walked = Math.min(size, matcher.index.products - size);
  const values = Math.max(1, postings.records.length / matcher.index.products);
  // A list made without the facet's own choice can be shared with other facets.
  const listed = matcher.isShared(without) ? 0 : listCost;
  if (options.length * products.length < walked * (values * walkCost + listed))
    return Uint32Array.from(options, (_, o) => countBoth(products, bits(o)));
  const { ids, rest } = matcher.fewer(without);
  const counts = tally(forward, ids, options.length);
  // An option's count is also its total minus the records that don't match.
  if (rest)
    for (let o = 0; o < options.length; o++)
      counts[o] = (postings.starts[o + 1] ?? 0) - (postings.starts[o] ?? 0) - (counts[o] ?? 0);
  return counts;
}

/** How many of the records state each option. */
function tally({ codes, starts }: Forward, records: Uint32Array, options: number): Uint32Array {
  // One extra entry, for records without a value.
  const counts = new Uint32Array(options + 1);
  if (starts) {
    for (let i = 0; i < records.length; i++) {
      for (let at = starts[records[i] ?? 0] ?? 0; at < (starts[(records[i] ?? 0) + 1] ?? 0); at++)
        countAt(counts, codes[at] ?? 0);
    }
    return counts.subarray(0, options);
  }
  // Alternates between two tables: incrementing the same entry twice in a row stalls the processor.
  const others = new Uint32Array(options + 1);
  let i = 0;
  for (; i + 1 < records.length; i += 2) {
    countAt(counts, codes[records[i] ?? 0] ?? 0);
    countAt(others, codes[records[i + 1] ?? 0] ?? 0);
  }
  if (i < records.length) countAt(counts, codes[records[i] ?? 0] ?? 0);
  for (let o = 0; o < options; o++) counts[o] = (counts[o] ?? 0) + (others[o] ?? 0);
  return counts.subarray(0, options);
}

/** Distinct products of the variants that state each option. Variants of one product stand together, so a repeat is the last one seen. */
function countVariants(
  { options, forward: { codes, starts } }: OptionIndex,
  variants: Uint32Array,
  productOf: Uint32Array,
): Uint32Array {
  const counts = new Uint32Array(options.length + 1);
  const last = new Int32Array(options.length + 1).fill(-1);
  for (let i = 0; i < variants.length; i++) {
    const v = variants[i] ?? 0;
    const p = productOf[v] ?? 0;
    const end = starts ? (starts[v + 1] ?? 0) : v + 1;
    for (let at = starts ? (starts[v] ?? 0) : v; at < end; at++) {
      const o = codes[at] ?? 0;
      if (last[o] === p) continue;
      last[o] = p;
      countAt(counts, o);
    }
  }
  return counts.subarray(0, options.length);
}

function countOneByOne({ options, postings }: OptionIndex, matcher: Matcher, without: string | undefined): Uint32Array {
  const { index } = matcher;
  const base = matcher.match(without);
  return Uint32Array.from(options, (_, o) => {
    const variants = emptyBitmap(index.variants);
    for (const v of postingsOf(postings, o)) if (!base.variants || has(base.variants, v)) set(variants, v);
    return count(matchedProducts(index, { ...base, variants }));
  });
}
