/** One thing measured, against what was aimed at. */
export interface Timing {
  name: string;
  median_ms: number;
  worst_ms: number;
  aim_ms: number;
}

const round = (ms: number): number => Number(ms.toPrecision(3));

/** Times in ms, with their median and worst. */
export function timing(name: string, times: readonly number[], aim: number): Timing {
  const sorted = [...times].sort((a, b) => a - b);
  const middle = sorted[sorted.length >> 1] ?? 0;
  return { name, median_ms: round(middle), worst_ms: round(sorted.at(-1) ?? 0), aim_ms: aim };
}
