import type { Field } from "../catalogue/field.ts";
import { isNested, isNumeric } from "../catalogue/field-kinds.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import { everything } from "../engine/base.ts";
import { liveCounts } from "../engine/count.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { optionsOfRecord } from "../engine/index/forward.ts";
import type { Level } from "../engine/index/option-schema.ts";
import { Matcher } from "../engine/matcher.ts";

/**
 * How far, as a share, a number that a shopper has in mind may deviate from the true one: at most this share of the
 * number, and of the whole scale, since nobody misjudges a year by a quarter of 1970. Common practice, no source.
 */
export const defaultTolerance = 0.25;

/**
 * The range chosen by shoppers with a number in mind: around it, without an end that would exclude nothing. Used by
 * suggestions and rehearsals.
 * @param least the lowest selectable value
 * @returns undefined if the range would include every value
 */
export function rangeAround(value: number, near: number, least: number, most: number): Range | undefined {
  const width = Math.min(Math.abs(value), (most - least) / 2) * near;
  const range: Range = {
    ...(value - width > least ? { min: value - width } : {}),
    ...(value + width < most ? { max: value + width } : {}),
  };
  return range.min === undefined && range.max === undefined ? undefined : range;
}

/** The effect of one answer, averaged over the products with a value, each equally likely to be wanted. */
export interface Answers {
  /** Number of products left; 0 if none states the field. */
  left: number;
  /** Bits by which it narrows the products with a value: log2 of their number minus the mean log2 of those left. */
  bits: number;
}

/**
 * Computes the effect of an answer for a shopper who wants a product and knows its value: the option with the fewest
 * products is chosen, or on a number line the {@link rangeAround} it. Each variant of a product is equally likely to
 * be sought.
 */
export function answersTo(index: CatalogueIndex, field: Field): Answers {
  const { level, leftAt } = isNumeric(field) ? aroundNumbers(index, field) : byOptions(index, field);
  const { variantStart } = index.catalogue;
  let [products, left, logs] = [0, 0, 0];
  for (let p = 0; p < index.products; p++) {
    const [from, to] = level === "product" ? [p, p + 1] : [variantStart[p] ?? 0, variantStart[p + 1] ?? 0];
    let [stating, sum, log] = [0, 0, 0];
    for (let record = from; record < to; record++) {
      const own = leftAt(record);
      if (own === undefined) continue;
      stating++;
      sum += own;
      log += Math.log2(own);
    }
    if (stating === 0) continue;
    products++;
    left += sum / stating;
    logs += log / stating;
  }
  if (products === 0) return { left: 0, bits: 0 };
  return { left: left / products, bits: Math.log2(products) - logs / products };
}

/** Number of products left for somebody who looks for a record; undefined if it states nothing. */
interface Left {
  level: Level;
  leftAt(record: number): number | undefined;
}

function byOptions(index: CatalogueIndex, { key, kind }: Field): Left {
  const tree = isNested({ kind });
  const { level, forward, options } = index.options(key, tree);
  const counts = liveCounts(new Matcher(index, everything(index), [], {}), { field: key, mode: tree ? "tree" : "any" });
  return {
    level,
    leftAt(record) {
      const own = optionsOfRecord(forward, record, options.length);
      return own.length === 0 ? undefined : Math.min(...own.map((option) => counts[option] ?? 0));
    },
  };
}

function aroundNumbers(index: CatalogueIndex, { key }: Field): Left {
  const { level, starts, values } = index.numbers(key);
  const product = level === "product" ? undefined : index.productOf;
  const pairs: { value: number; product: number }[] = [];
  for (let record = 0; record + 1 < starts.length; record++)
    for (let at = starts[record] ?? 0; at < (starts[record + 1] ?? 0); at++)
      pairs.push({ value: values[at] ?? 0, product: product?.[record] ?? record });
  pairs.sort((a, b) => a.value - b.value);
  const [least, most] = [pairs[0]?.value ?? 0, pairs.at(-1)?.value ?? 0];
  // Both ends of the range increase with the number, so that one pass over the sorted numbers counts the products of
  // each.
  const found = new Map<number, number>();
  const inside = new Map<number, number>();
  let [from, to] = [0, 0];
  for (const { value } of pairs) {
    if (found.has(value)) continue;
    const { min = least, max = most } = rangeAround(value, defaultTolerance, least, most) ?? {};
    for (; to < pairs.length && (pairs[to]?.value ?? 0) <= max; to++) {
      const one = pairs[to]?.product ?? 0;
      inside.set(one, (inside.get(one) ?? 0) + 1);
    }
    for (; from < to && (pairs[from]?.value ?? 0) < min; from++) {
      const one = pairs[from]?.product ?? 0;
      const rest = (inside.get(one) ?? 1) - 1;
      if (rest > 0) inside.set(one, rest);
      else inside.delete(one);
    }
    found.set(value, inside.size);
  }
  return {
    level,
    leftAt(record) {
      const at = starts[record] ?? 0;
      return at < (starts[record + 1] ?? 0) ? found.get(values[at] ?? 0) : undefined;
    },
  };
}
