import { roundStep } from "../evidence/ticks.ts";
import { type Bitmap, has } from "../index/bitmap.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { match, matchedProducts } from "./match.ts";
import type { Choices, Facet } from "./selection.ts";

/** Counts in equal bins: bin `i` holds values from `from + i × width` up to, but without, the next; the last one with. */
export interface Histogram {
  from: number;
  width: number;
  /** Products in each bin; a product counts once in a bin. */
  counts: number[];
}

/** A range facet's live ends, null when nothing matches, and how the values lie between them. */
export interface RangeAnswer {
  min: number | null;
  max: number | null;
  histogram: Histogram | null;
}

/**
 * Live ends and histogram of a range facet: over the values of the products that match the selection
 * without that facet, and for a variant-level field of those of their variants that satisfy the
 * other variant-level any-of, one-of and range choices (brief, section 5).
 * @param bins about how many bins the histogram has; 0, the default, for none
 */
export function liveRange(index: CatalogueIndex, page: Bitmap, facets: readonly Facet[], choices: Choices, facet: Facet, bins = 0): RangeAnswer {
  const { level, starts, values } = index.numbers(facet.field);
  const base = match(index, page, facets, choices, facet.field);
  const products = matchedProducts(index, base);
  const seen: { product: number; value: number }[] = [];
  let min = Number.POSITIVE_INFINITY;
  let max = Number.NEGATIVE_INFINITY;
  for (let record = 0; record + 1 < starts.length; record++) {
    if (starts[record] === starts[record + 1]) continue;
    const product = level === "product" ? record : index.productOf[record];
    if (!has(products, product)) continue;
    if (level === "variant" && base.variants && !has(base.variants, record)) continue;
    for (let i = starts[record]; i < starts[record + 1]; i++) {
      if (values[i] < min) min = values[i];
      if (values[i] > max) max = values[i];
      if (bins > 0) seen.push({ product, value: values[i] });
    }
  }
  if (min > max) return { min: null, max: null, histogram: null };
  return { min, max, histogram: bins > 0 ? histogram(seen, min, max, bins) : null };
}

function histogram(seen: readonly { product: number; value: number }[], min: number, max: number, bins: number): Histogram {
  const width = roundStep(max - min || 1, bins);
  const from = Math.floor(min / width) * width;
  const counts = new Array<number>(Math.max(1, Math.ceil((max - from) / width))).fill(0);
  const last = new Array<Set<number>>(counts.length);
  for (const { product, value } of seen) {
    const bin = Math.min(counts.length - 1, Math.floor((value - from) / width));
    last[bin] ??= new Set();
    if (last[bin].has(product)) continue;
    last[bin].add(product);
    counts[bin]++;
  }
  return { from, width, counts };
}
