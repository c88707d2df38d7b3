/** Quantile of the standard normal distribution for a 95% interval. */
const z = 1.959963984540054;

/**
 * The 95% score interval of a share.
 * Source: Wilson (1927), Probable inference, the law of succession, and statistical inference, JASA 22.
 * @param hits number of successes @param of number of trials
 * @returns its ends, from 0 to 1; the whole range without trials
 */
export function wilsonInterval(hits: number, of: number): readonly [low: number, high: number] {
  if (of === 0) return [0, 1];
  const share = hits / of;
  const spread = 1 + z ** 2 / of;
  const middle = (share + z ** 2 / (2 * of)) / spread;
  const half = (z / spread) * Math.sqrt((share * (1 - share)) / of + z ** 2 / (4 * of ** 2));
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}
