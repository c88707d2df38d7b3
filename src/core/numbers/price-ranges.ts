import { ticks } from "d3-array";
import type { Parting } from "./parting.ts";
import type { Range } from "./range-schema.ts";
import { roundStep, tidy } from "./ticks.ts";

/**
 * Limits that part values into about so many ranges with round numbers between them: of equal width, or with
 * about as many values in each. Fewer where the values lie too close together.
 * @param sorted values in rising order
 */
export function roundLimits(sorted: ArrayLike<number>, parts: number, by: Parting): number[] {
  const at = (share: number) =>
    sorted[Math.max(0, Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1))))] ?? 0;
  const [least, most] = [at(0), at(1)];
  if (parts < 2 || least === most) return [];
  // Numbers so small that no step between them can be told have no ticks.
  if (by === "width" && roundStep(most - least, parts) === 0) return [];
  if (by === "width") return rising(ticks(least, most, parts).map(tidy), least, most);
  const slack = 0.3 / parts;
  const limits = Array.from({ length: parts - 1 }, (_, i) => {
    const share = (i + 1) / parts;
    return roundest(at(share - slack), at(share + slack), at(share));
  });
  return rising(limits, least, most);
}

/** Those numbers that lie between two ends and above all before them. */
function rising(limits: readonly number[], least: number, most: number): number[] {
  const kept: number[] = [];
  for (const limit of limits) if (limit > (kept.at(-1) ?? least) && limit < most) kept.push(limit);
  return kept;
}

/**
 * The ranges between limits: a limit is the first number of the range that it begins. The first and the last are open,
 * so that nothing is left out however the catalogue changes.
 */
export function rangesBetween(limits: readonly number[]): Range[] {
  const [first] = limits;
  const last = limits.at(-1);
  if (first === undefined || last === undefined) return [];
  const between = limits.slice(1).map((below, i): Range => ({ min: limits[i], below }));
  return [{ below: first }, ...between, { min: last }];
}

/** Powers of ten that round numbers are looked for in, below that of the larger end. */
const powers = 24;

/** The multiple of the largest 1, 2 or 5 × 10^n that lies between two numbers; of several the one nearest to `wanted`. */
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
