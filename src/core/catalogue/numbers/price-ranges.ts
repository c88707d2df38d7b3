import { ticks } from "d3-array";
import type { Binning } from "./binning.ts";
import type { Range } from "./range-schema.ts";
import { roundStep, tidy } from "./ticks.ts";

/**
 * Limits that divide values into about the given number of ranges at round numbers: of equal width, or with about as
 * many values in each; a very frequent number gets a range of its own. Fewer if the values lie too close together.
 * @param sorted values in ascending order; for shares of products, the lowest of each product
 */
export function roundLimits(sorted: ArrayLike<number>, parts: number, by: Binning): number[] {
  const at = (share: number) =>
    sorted[Math.max(0, Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1))))] ?? 0;
  const [least, most] = [at(0), at(1)];
  if (parts < 2 || least === most) return [];
  // Numbers too small for a distinguishable step have no ticks.
  if (by === "width" && roundStep(most - least, parts) === 0) return [];
  if (by === "width") return rising(ticks(least, most, parts).map(tidy), least, most);
  const slack = 0.3 / parts;
  const limits = rising(
    Array.from({ length: parts - 1 }, (_, i) => {
      const share = (i + 1) / parts;
      return roundest(at(share - slack), at(share + slack), at(share));
    }),
    least,
    most,
  );
  return limits.length === parts - 1 ? limits : aroundHeaps(sorted, parts);
}

/**
 * The same if one number is so frequent that equal shares would end on it: that number gets a range of its own, and
 * the rest is divided evenly.
 */
function aroundHeaps(sorted: ArrayLike<number>, parts: number): number[] {
  const n = sorted.length;
  const at = (place: number) => sorted[Math.max(0, Math.min(n - 1, Math.round(place)))] ?? 0;
  const limits: number[] = [];
  let start = 0;
  for (let left = parts; left > 1 && start < n; left--) {
    const size = (n - start) / left;
    const floor = limits.at(-1) ?? at(0);
    let limit = roundest(at(start + size * 0.7), at(start + size * 1.3), at(start + size));
    if (limit <= floor) {
      let next = start;
      while (next < n && at(next) <= floor) next++;
      if (next >= n) break;
      // Just above the frequent number, at the roundest number that starts the next range.
      limit = roundest(floor + (at(next) - floor) / 100, at(next), at(next));
    }
    if (limit <= floor || limit >= at(n - 1)) break;
    limits.push(limit);
    while (start < n && at(start) < limit) start++;
  }
  return limits;
}

/** The limits between two ends, in ascending order without repeats. */
function rising(limits: readonly number[], least: number, most: number): number[] {
  const kept: number[] = [];
  for (const limit of limits) if (limit > (kept.at(-1) ?? least) && limit < most) kept.push(limit);
  return kept;
}

/**
 * The ranges between limits: a limit is the first number of its range. The first and last range are open, so that no
 * product is left out however the catalogue changes.
 */
export function rangesBetween(limits: readonly number[]): Range[] {
  const [first] = limits;
  const last = limits.at(-1);
  if (first === undefined || last === undefined) return [];
  const between = limits.slice(1).map((below, i): Range => ({ min: limits[i], below }));
  return [{ below: first }, ...between, { min: last }];
}

/** Powers of ten to try for round numbers, below that of the larger end. */
const powers = 24;

/** The multiple of the largest 1, 2 or 5 × 10^n between two numbers; of several the one nearest to `wanted`. */
function roundest(low: number, high: number, wanted: number): number {
  if (low === high) return low;
  const top = Math.ceil(Math.log10(Math.max(Math.abs(low), Math.abs(high))));
  for (let power = top; power > top - powers; power--) {
    for (const factor of [5, 2, 1]) {
      const step = factor * 10 ** power;
      const near = Math.round(wanted / step) * step;
      const inside = [near, near - step, near + step].find((one) => one >= low && one <= high);
      if (inside !== undefined) return tidy(inside);
    }
  }
  return wanted;
}
