/** A sample of yes or no: how many of how many. */
export interface Sample {
  hits: number;
  of: number;
}

const alpha = 0.05;
/** Number of observations at which the interval is narrowest. Common practice, no source. */
const tuned = 2000;
/** Source: Waudby-Smith et al., appendix C: the value that makes the interval narrowest at a given number. */
const rho2 = (-2 * Math.log(alpha) + Math.log(-2 * Math.log(alpha)) + 1) / tuned;

/** Observations of each sample before anything is said: the interval holds for many. Common practice, no source. */
export const minSample = 100;

/** A difference of two shares with its interval. */
export interface ValidDifference {
  /** The second share less the first. */
  difference: number;
  low: number;
  high: number;
  /** The interval excludes 0. */
  differs: boolean;
  /** About how many observations in all it takes until it does, if the shares stay; undefined beyond a hundred million. */
  needed: number | undefined;
}

/** Variance of a share's mean, with a pseudo-observation each way, so that 0 of 100 is not certain. */
const variance = ({ hits, of }: Sample): number => {
  const share = (hits + 1) / (of + 2);
  return (share * (1 - share)) / of;
};

/** The factor of the standard error at a number of observations. */
const boundary = (n: number): number =>
  Math.sqrt(((2 * (n * rho2 + 1)) / (n * rho2)) * Math.log(Math.sqrt(n * rho2 + 1) / alpha));

const maxNeeded = 1e8;

/**
 * The difference of two shares with a 95% interval that holds at every time at once, so that it may be looked at as often
 * as one likes: an asymptotic confidence sequence.
 * Source: Waudby-Smith, Arbour, Sinha, Kennedy and Ramdas (2024), Time-uniform central limit theory and asymptotic
 * confidence sequences, The Annals of Statistics 52(6), theorem 2.2.
 * @returns undefined if one of the samples is smaller than {@link minSample}
 */
export function validDifference(first: Sample, second: Sample): ValidDifference | undefined {
  if (first.of < minSample || second.of < minSample) return undefined;
  const n = first.of + second.of;
  const difference = second.hits / second.of - first.hits / first.of;
  const error = Math.sqrt(variance(first) + variance(second));
  const half = error * boundary(n);
  const [low, high] = [Math.max(-1, difference - half), Math.min(1, difference + half)];
  return { difference, low, high, differs: low > 0 || high < 0, needed: neededFor(Math.abs(difference), error, n) };
}

/** The number of observations at which an interval around a difference excludes 0. @param error that at `n` */
function neededFor(difference: number, error: number, n: number): number | undefined {
  const excludes = (at: number) => error * Math.sqrt(n / at) * boundary(at) < difference;
  let high = n;
  while (!excludes(high)) {
    if (high > maxNeeded) return undefined;
    high *= 2;
  }
  let low = high / 2;
  if (high === n) return n;
  while (high - low > Math.max(1, low / 100)) {
    const middle = (low + high) / 2;
    if (excludes(middle)) high = middle;
    else low = middle;
  }
  return Math.ceil(high);
}
