import type { AssumptionName, Assumptions } from "./assumptions.ts";
import { successRate } from "./summary.ts";
import type { Walk } from "./walk.ts";

/** An uncertain assumption, with its lowest and highest plausible value. All by common practice, no source. */
export interface Uncertainty {
  name: AssumptionName;
  low: number;
  high: number;
}

/** Assumptions that nobody can know in advance, each with its low and high end. */
export const uncertainties: readonly Uncertainty[] = [
  { name: "known", low: 0.5, high: 1.25 },
  { name: "first", low: 4, high: 24 },
  { name: "mistaken", low: 0.2, high: 0 },
  { name: "near", low: 0.5, high: 0.1 },
  { name: "maxMoves", low: 3, high: 16 },
  { name: "maxSeconds", low: 45, high: 300 },
];

/** The two with the most influence: how much shoppers know, and how many cards they look at. */
export const mainUncertainties = uncertainties.filter(({ name }) => name === "known" || name === "first");

/** The success rate with an assumption at its low and at its high end. */
export interface Swing extends Uncertainty {
  atLow: number;
  atHigh: number;
}

/** Range of the success rate under different assumptions. */
export interface Span {
  /** With both main uncertainties low, and with both high. */
  least: number;
  most: number;
  /** Each uncertainty alone, most influential first. */
  swings: Swing[];
}

/** Assumptions with some uncertainties at one end. */
export const withUncertainties = (
  assumptions: Assumptions,
  which: readonly Uncertainty[],
  end: "low" | "high",
): Assumptions => ({
  ...assumptions,
  values: { ...assumptions.values, ...Object.fromEntries(which.map((lever) => [lever.name, lever[end]])) },
});

/**
 * Computes how the success rate depends on the assumptions: the same shoppers are sent again with each uncertain
 * assumption low and high, the others unchanged.
 * @param run sends them
 */
export function* outcomeSpan(
  assumptions: Assumptions,
  run: (assumptions: Assumptions) => Walk[],
): Generator<number, Span> {
  const arriving = (which: readonly Uncertainty[], end: "low" | "high") =>
    successRate(run(withUncertainties(assumptions, which, end)));
  const [one, other] = [arriving(mainUncertainties, "low"), arriving(mainUncertainties, "high")];
  const swings: Swing[] = [];
  for (const [at, lever] of uncertainties.entries()) {
    yield at / uncertainties.length;
    swings.push({ ...lever, atLow: arriving([lever], "low"), atHigh: arriving([lever], "high") });
  }
  const size = ({ atLow, atHigh }: Swing) => Math.abs(atHigh - atLow);
  return { least: Math.min(one, other), most: Math.max(one, other), swings: swings.sort((a, b) => size(b) - size(a)) };
}
