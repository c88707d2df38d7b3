import { quantileSorted } from "d3-array";
import { seededRandom } from "./seeded-random.ts";
import type { Walk } from "./walk.ts";

/** The measures compared between two rehearsals with the same shoppers. */
export const measures = {
  arrived: "share that finds its product",
  moves: "choices of those who find it both times",
  seconds: "seconds of those who find it both times",
  px: "px scrolled by those who find it both times",
} as const;
export type MeasureName = keyof typeof measures;

/** The second rehearsal minus the first. */
export interface MeasureDifference {
  measure: MeasureName;
  /** Number of pairs. */
  pairs: number;
  before: number;
  after: number;
  /** Mean of the paired differences, and its 95% interval. */
  mean: number;
  low: number;
  high: number;
  /** Probability of a difference at least as large by chance, corrected for all measures together. */
  p: number;
  /** Statistically significant: `p` is below 0.05. */
  differs: boolean;
}

const draws = 2000;
const level = 0.05;

/**
 * Compares two rehearsals of the same shoppers in pairs. The interval is the percentile bootstrap's over the pairs;
 * `p` is the probability of a mean at least as far from 0 under the null hypothesis, by a bootstrap of the centred
 * differences, with Holm's correction for all measures together. Sources: Efron and Tibshirani (1993), An Introduction
 * to the Bootstrap, sections 13.3 and 15.4; Holm (1979).
 * @param before walks by the shopper's number; the walks of both are of the same shoppers in the same order
 */
export function compareWalks(before: readonly Walk[], after: readonly Walk[]): MeasureDifference[] {
  const pairs = before.flatMap((one, at) => {
    const other = after[at];
    return other && other.n === one.n ? [[one, other] as const] : [];
  });
  const both = pairs.filter(([one, other]) => one.ending === "arrived" && other.ending === "arrived");
  const arrived = (walk: Walk) => (walk.ending === "arrived" ? 1 : 0);
  const differences = [
    differenceOf("arrived", pairs, arrived),
    differenceOf("moves", both, ({ moves }) => moves.length),
    differenceOf("seconds", both, ({ seconds }) => seconds),
    differenceOf("px", both, ({ px }) => px),
  ];
  const corrected = holm(differences.map(({ p }) => p));
  return differences.map((one, at) => ({ ...one, p: corrected[at] ?? 1, differs: (corrected[at] ?? 1) < level }));
}

type Pairs = readonly (readonly [Walk, Walk])[];

function differenceOf(measure: MeasureName, pairs: Pairs, numberOf: (walk: Walk) => number): MeasureDifference {
  const values = pairs.map(([one, other]) => numberOf(other) - numberOf(one));
  const meanOf = (side: 0 | 1) =>
    pairs.reduce((sum, pair) => sum + numberOf(pair[side]), 0) / Math.max(1, pairs.length);
  return {
    measure,
    pairs: pairs.length,
    before: meanOf(0),
    after: meanOf(1),
    ...bootstrap(values, measure),
    differs: false,
  };
}

/**
 * Mean of some values, its 95% interval by the percentile bootstrap, and the probability of one at least as far from 0
 * by chance.
 */
export function bootstrap(
  values: readonly number[],
  name: string,
): Pick<MeasureDifference, "mean" | "low" | "high" | "p"> {
  const n = values.length;
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, n);
  // Equal values leave nothing to resample.
  if (values.every((value) => value === values[0]))
    return { mean, low: mean, high: mean, p: mean === 0 ? 1 : 1 / draws };
  const means = new Float64Array(draws);
  let state = Math.floor(seededRandom("bootstrap", name, n) * 4294967296) >>> 0;
  for (let d = 0; d < draws; d++) {
    let sum = 0;
    for (let i = 0; i < n; i++) {
      // A linear congruential generator is good enough to resample. Source: Press and others (1992), section 7.1.
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      sum += values[Math.floor((state / 4294967296) * n)] ?? 0;
    }
    means[d] = sum / n;
  }
  const sorted = [...means].sort((a, b) => a - b);
  // Null distribution: how often the centred mean is at least as far from 0 as the observed one.
  let beyond = 0;
  for (const one of means) if (Math.abs(one - mean) >= Math.abs(mean)) beyond++;
  return {
    mean,
    low: quantileSorted(sorted, level / 2) ?? mean,
    high: quantileSorted(sorted, 1 - level / 2) ?? mean,
    p: (beyond + 1) / (draws + 1),
  };
}

/**
 * Holm's correction, in the same order. Source: Holm (1979), A simple sequentially rejective multiple test procedure.
 */
export function holm(chances: readonly number[]): number[] {
  const order = chances.map((_, at) => at).sort((a, b) => (chances[a] ?? 1) - (chances[b] ?? 1));
  const corrected = new Array<number>(chances.length).fill(1);
  let least = 0;
  order.forEach((at, rank) => {
    least = Math.max(least, Math.min(1, (chances.length - rank) * (chances[at] ?? 1)));
    corrected[at] = least;
  });
  return corrected;
}
