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

/** Describes numbers; undefined for none. Quantiles are linear between neighbours (Hyndman and Fan 1996, type 7). */
export function describeNumbers(values: readonly number[]): Distribution | undefined {
  if (values.length === 0) return undefined;
  const sorted = [...values].sort((a, b) => a - b);
  const quartiles: [number, number, number] = [quantile(sorted, 0.25), quantile(sorted, 0.5), quantile(sorted, 0.75)];
  const reach = 1.5 * (quartiles[2] - quartiles[0]);
  return {
    count: sorted.length,
    min: sorted[0],
    quartiles,
    max: sorted[sorted.length - 1],
    skewness: skewness(sorted),
    outliers: sorted.filter((value) => value < quartiles[0] - reach || value > quartiles[2] + reach),
  };
}

/** Third standardised moment; 0 for none and for equal values. */
export function skewness(values: ArrayLike<number>): number {
  const list = Array.from(values);
  const mean = list.reduce((sum, value) => sum + value, 0) / list.length;
  const moment = (power: number) => list.reduce((sum, value) => sum + (value - mean) ** power, 0) / list.length;
  const variance = moment(2);
  return list.length === 0 || variance === 0 ? 0 : moment(3) / variance ** 1.5;
}

function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const low = Math.floor(at);
  return sorted[low] + (at - low) * ((sorted[low + 1] ?? sorted[low]) - sorted[low]);
}
