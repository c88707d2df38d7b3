import { countAt } from "../catalogue/numbers/tally.ts";
import { productsOf } from "./base.ts";
import { type Bitmap, complement, count, countBoth, emptyBitmap, has, intersect, set, toIds } from "./index/bitmap.ts";
import type { OptionIndex } from "./index/facet-index.ts";
import type { Forward } from "./index/forward.ts";
import { postingsOf } from "./index/postings.ts";
import { facetOptions, type Matcher, matchedProducts, withVariants } from "./matcher.ts";
import type { Facet } from "./question.ts";

/** The field whose choice the counts of a facet ignore: an all-of choice stays, since options are added to it. */
export const ignoredBy = ({ mode, field }: Facet): string | undefined => (mode === "all" ? undefined : field);

/**
 * Live counts of a discrete facet, one per option in the index's order: the number of products after choosing that
 * option. For any-of, one-of and tree the option replaces the facet's choice; for all-of it is added.
 */
export function liveCounts(matcher: Matcher, facet: Facet): Uint32Array {
  const options = facetOptions(matcher.index, facet);
  const without = ignoredBy(facet);
  const { variants, each } = matcher.match(without);
  // An all-of choice of another facet must also hold within the variants left by the counted option.
  if (options.level === "variant" && facet.mode !== "all" && each.length > 0)
    return countOneByOne(options, matcher, without);
  if (options.level === "product" || !variants) return countProducts(options, matcher, without);
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
const walkCost = 1;
const listCost = 2.5;

/**
 * The products of a match that state each option, without regard to which of their variants match. Bitmaps compare 32
 * records at a time, lists one by one; the cheaper is used.
 */
function countProducts(options: OptionIndex, matcher: Matcher, without: string | undefined): Uint32Array {
  const { index } = matcher;
  const { forward, totals, bits } = index.byProduct(options);
  const products = matcher.products(without);
  const size = matcher.size(without);
  const walked = Math.min(size, index.products - size);
  const values = "places" in forward ? forward.places.length : forward.codes.length / index.products;
  // A list made without the facet's own choice can be shared with other facets.
  const listed = matcher.isShared(without) ? 0 : listCost;
  if (totals.length * products.length < walked * (values * walkCost + listed))
    return totals.map((_, o) => countBoth(products, bits(o)));
  const { ids, rest } = matcher.fewer(without);
  const counts = tally(forward, ids, totals.length);
  // An option's count is also its total minus the records that don't match.
  return rest ? counts.map((count, o) => (totals[o] ?? 0) - count) : counts;
}

/** How many of the records state each option. */
function tally(forward: Forward, records: Uint32Array, options: number): Uint32Array {
  // One extra entry, for records without a value.
  const size = options + 1;
  // Takes turns between four tables: incrementing the same entry twice in a row stalls the processor.
  const counts = new Uint32Array(4 * size);
  if ("places" in forward) for (const codes of forward.places) tallyOne(codes, records, counts, size);
  else {
    const { codes, starts } = forward;
    for (let i = 0; i < records.length; i++) {
      const end = starts[(records[i] ?? 0) + 1] ?? 0;
      for (let at = starts[records[i] ?? 0] ?? 0; at < end; at++) countAt(counts, codes[at] ?? 0);
    }
  }
  for (let o = 0; o < options; o++)
    counts[o] = (counts[o] ?? 0) + (counts[size + o] ?? 0) + (counts[2 * size + o] ?? 0) + (counts[3 * size + o] ?? 0);
  return counts.slice(0, options);
}

/** @param counts four tables, one after the other */
function tallyOne(codes: Uint16Array | Uint32Array, records: Uint32Array, counts: Uint32Array, size: number): void {
  const [second, third] = [2 * size, 3 * size];
  let i = 0;
  for (; i + 3 < records.length; i += 4) {
    countAt(counts, codes[records[i] ?? 0] ?? 0);
    countAt(counts, size + (codes[records[i + 1] ?? 0] ?? 0));
    countAt(counts, second + (codes[records[i + 2] ?? 0] ?? 0));
    countAt(counts, third + (codes[records[i + 3] ?? 0] ?? 0));
  }
  for (; i < records.length; i++) countAt(counts, codes[records[i] ?? 0] ?? 0);
}

/**
 * Distinct products of the variants that state each option. Variants of one product are adjacent, so a repeat is the
 * last one seen.
 */
function countVariants({ options, forward }: OptionIndex, variants: Uint32Array, productOf: Uint32Array): Uint32Array {
  const counts = new Uint32Array(options.length + 1);
  const last = new Int32Array(options.length + 1).fill(-1);
  const see = (option: number, product: number) => {
    // One if they differ, without a branch that the processor would guess wrong half of the time.
    const other = (last[option] ?? 0) ^ product;
    counts[option] = (counts[option] ?? 0) + ((other | -other) >>> 31);
    last[option] = product;
  };
  if ("places" in forward) {
    for (let i = 0; i < variants.length; i++) {
      const variant = variants[i] ?? 0;
      for (const codes of forward.places) see(codes[variant] ?? 0, productOf[variant] ?? 0);
    }
  } else {
    const { codes, starts } = forward;
    for (let i = 0; i < variants.length; i++) {
      const variant = variants[i] ?? 0;
      const end = starts[variant + 1] ?? 0;
      for (let at = starts[variant] ?? 0; at < end; at++) see(codes[at] ?? 0, productOf[variant] ?? 0);
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
    return count(matchedProducts(index, withVariants(base, variants)));
  });
}
