import type { Range } from "../match/selection.ts";
import { roundStep } from "./ticks.ts";

/** How a number line is parted into bands. */
export const bandings = ["width", "products"] as const;
export type Banding = (typeof bandings)[number];

/**
 * Limits that part values into about `parts` bands with round numbers between them: of equal width, or
 * with about as many values in each. Fewer where the values lie too close together.
 * @param sorted values in rising order
 */
export function roundLimits(sorted: ArrayLike<number>, parts: number, by: Banding): number[] {
  const count = sorted.length;
  if (count === 0 || parts < 2) return [];
  const [least, most] = [sorted[0], sorted[count - 1]];
  if (least === most) return [];
  if (by === "width") {
    const step = roundStep(most - least, parts);
    const limits: number[] = [];
    for (let limit = (Math.floor(least / step) + 1) * step; limit < most; limit += step) limits.push(tidy(limit));
    return limits;
  }
  const at = (share: number) => sorted[Math.max(0, Math.min(count - 1, Math.round(share * (count - 1))))];
  const slack = 0.3 / parts;
  const limits: number[] = [];
  for (let i = 1; i < parts; i++) {
    const limit = roundest(at(i / parts - slack), at(i / parts + slack), at(i / parts));
    if (limit > least && limit < most && limit > (limits.at(-1) ?? Number.NEGATIVE_INFINITY)) limits.push(limit);
  }
  return limits;
}

/** The bands between limits: the first and the last are open, so that nothing is left out however the catalogue changes. */
export function bandsBetween(limits: readonly number[]): Range[] {
  if (limits.length === 0) return [];
  return [{ max: limits[0] }, ...limits.slice(1).map((max, i) => ({ min: limits[i], max })), { min: limits[limits.length - 1] }];
}

/** The multiple of the largest 1, 2 or 5 × 10^n that lies between two numbers; of several the one nearest to `wanted`. */
function roundest(low: number, high: number, wanted: number): number {
  if (low === high) return low;
  for (let power = Math.ceil(Math.log10(Math.max(Math.abs(low), Math.abs(high)))); power > -12; power--) {
    for (const factor of [5, 2, 1]) {
      const step = factor * 10 ** power;
      const near = Math.round(wanted / step) * step;
      const inside = [near, near - step, near + step].filter((one) => one >= low && one <= high);
      if (inside.length > 0) return tidy(inside[0]);
    }
  }
  return wanted;
}

const tidy = (value: number): number => Number(value.toPrecision(12));
