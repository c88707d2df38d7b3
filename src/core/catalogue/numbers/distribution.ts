import { mean, quantileSorted } from "d3-array";

/** How a field's numbers lie. */
export interface Distribution {
  count: number;
  min: number;
  quartiles: [number, number, number];
  max: number;
  /** Third standardised moment; above 1 a few large values stretch the scale. */
  skewness: number;
  /** Values beyond one and a half interquartile ranges from the quartiles. Source: Tukey (1977), fences of the box plot. */
  outliers: number[];
}

/** Describes numbers; undefined for none. Quantiles are linear between neighbours (Hyndman and Fan 1996, type 7), from d3-array. */
export function describeNumbers(values: readonly number[]): Distribution | undefined {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) => quantileSorted(sorted, share) ?? 0;
  const [min, max] = [sorted[0], sorted.at(-1)];
  if (min === undefined || max === undefined) return undefined;
  const quartiles: [number, number, number] = [at(0.25), at(0.5), at(0.75)];
  const reach = 1.5 * (quartiles[2] - quartiles[0]);
  return {
    count: sorted.length,
    min,
    quartiles,
    max,
    skewness: skewness(sorted),
    outliers: sorted.filter((value) => value < quartiles[0] - reach || value > quartiles[2] + reach),
  };
}

/** Third standardised moment; 0 for none and for equal values. */
export function skewness(values: ArrayLike<number>): number {
  const list = Array.from(values);
  const centre = mean(list) ?? 0;
  const moment = (power: number) => mean(list, (value) => (value - centre) ** power) ?? 0;
  const variance = moment(2);
  return variance === 0 ? 0 : moment(3) / variance ** 1.5;
}
