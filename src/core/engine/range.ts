import { binEdges, binOf } from "../catalogue/numbers/bins.ts";
import { rangesBetween, roundLimits } from "../catalogue/numbers/price-ranges.ts";
import { holds } from "../catalogue/numbers/range.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import { starRanges } from "../catalogue/numbers/stars.ts";
import { countAt } from "../catalogue/numbers/tally.ts";
import type { Histogram, RangeAnswer } from "./answer.ts";
import type { NumberIndex } from "./index/facet-index.ts";
import type { Matcher } from "./matcher.ts";
import type { Facet } from "./question.ts";

/**
 * Live ends and histogram of a range facet, over the values of products that match the selection without that facet;
 * for a variant-level field only of variants that meet the other variant-level any-of, one-of and range choices.
 * @param bins approximate number of bins, or their edges; 0, the default, for none
 */
export function liveRange(matcher: Matcher, facet: Facet, bins: number | readonly number[] = 0): RangeAnswer {
  const { index } = matcher;
  const { level, starts, values } = index.numbers(facet.field);
  const records = level === "product" ? matcher.productIds(facet.field) : matcher.variantIds(facet.field);
  let min = Number.POSITIVE_INFINITY;
  let max = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < records.length; i++) {
    for (let at = starts[records[i] ?? 0] ?? 0; at < (starts[(records[i] ?? 0) + 1] ?? 0); at++) {
      const value = values[at] ?? 0;
      if (value < min) min = value;
      if (value > max) max = value;
    }
  }
  if (min > max) return { min: null, max: null, histogram: null };
  if (bins === 0) return { min, max, histogram: null };
  const edges = typeof bins === "number" ? binEdges(min, max, bins, facet.bent) : bins;
  const productOf = level === "variant" ? index.productOf : undefined;
  return { min, max, histogram: histogram(index.numbers(facet.field), records, productOf, edges) };
}

/**
 * The lowest number of each product among some records, in ascending order: ranges divide products, and one with
 * thirty variants counts once.
 * @param productOf product of each variant; undefined if the records are products
 */
export function lowestOf(
  { starts, values }: Pick<NumberIndex, "starts" | "values">,
  records: Iterable<number>,
  productOf: ArrayLike<number> | undefined,
): Float64Array {
  const lowest = new Map<number, number>();
  for (const record of records) {
    const product = productOf?.[record] ?? record;
    for (let at = starts[record] ?? 0; at < (starts[record + 1] ?? 0); at++) {
      const value = values[at] ?? 0;
      if (value < (lowest.get(product) ?? Number.POSITIVE_INFINITY)) lowest.set(product, value);
    }
  }
  return Float64Array.from(lowest.values()).sort();
}

/** The ranges in which a facet is counted, computed over the values of a match if they follow a rule. */
export function rangesOf(matcher: Matcher, { field, ranges }: Facet): Range[] {
  if (!ranges) return [];
  if ("from" in ranges) return ranges.from.map((min) => ({ min }));
  if ("by" in ranges && ranges.by === "stars") return starRanges(matcher.index.numbers(field).values);
  if ("limits" in ranges) return rangesBetween([...new Set(ranges.limits)].sort((a, b) => a - b));
  const numbers = matcher.index.numbers(field);
  const { level, starts, values } = numbers;
  const records = level === "product" ? matcher.productIds(field) : matcher.variantIds(field);
  if (ranges.by !== "width") {
    const productOf = level === "variant" ? matcher.index.productOf : undefined;
    return rangesBetween(roundLimits(lowestOf(numbers, records, productOf), ranges.parts, "products"));
  }
  const found: number[] = [];
  for (const record of records)
    for (let at = starts[record] ?? 0; at < (starts[record + 1] ?? 0); at++) found.push(values[at] ?? 0);
  return rangesBetween(roundLimits(Float64Array.from(found).sort(), ranges.parts, "width"));
}

/** Live counts of a field's ranges: the number of products after replacing the facet's choice by each range. */
export function rangeCounts(matcher: Matcher, { field }: Facet, ranges: readonly Range[]): Uint32Array {
  const { index } = matcher;
  const counts = new Uint32Array(ranges.length);
  if (ranges.length === 0) return counts;
  const { level, starts, values } = index.numbers(field);
  const records = level === "product" ? matcher.productIds(field) : matcher.variantIds(field);
  // An all-of choice of another facet must hold within the variants left by the range.
  if (level === "variant" && matcher.match(field).each.length > 0)
    return Uint32Array.from(ranges, (one) => matcher.sizeWith(field, one));
  const last = new Int32Array(ranges.length).fill(-1);
  for (let i = 0; i < records.length; i++) {
    const record = records[i] ?? 0;
    const product = level === "variant" ? (index.productOf[record] ?? 0) : record;
    for (let at = starts[records[i] ?? 0] ?? 0; at < (starts[(records[i] ?? 0) + 1] ?? 0); at++) {
      const value = values[at] ?? 0;
      for (let b = 0; b < ranges.length; b++) {
        if (last[b] === product || !holds(ranges[b] ?? {}, value)) continue;
        last[b] = product;
        countAt(counts, b);
      }
    }
  }
  return counts;
}

/** @param productOf record → product, when the records are variants */
function histogram(
  { starts, values }: NumberIndex,
  records: Uint32Array,
  productOf: Uint32Array | undefined,
  edges: readonly number[],
): Histogram {
  const counts = new Array<number>(Math.max(1, edges.length - 1)).fill(0);
  const last = new Int32Array(counts.length).fill(-1);
  for (let i = 0; i < records.length; i++) {
    const record = records[i] ?? 0;
    const product = productOf ? (productOf[record] ?? 0) : record;
    for (let at = starts[record] ?? 0; at < (starts[record + 1] ?? 0); at++) {
      const bin = binOf(edges, values[at] ?? 0);
      // Variants of one product are adjacent, so a repeat is the last one seen.
      if (last[bin] === product) continue;
      last[bin] = product;
      counts[bin] = (counts[bin] ?? 0) + 1;
    }
  }
  return { edges: [...edges], counts };
}
