import type { AssumptionName, Assumptions } from "./assumptions.ts";
import { successRate } from "./summary.ts";
import type { Walk } from "./walk.ts";

/** Something that is assumed, with the least and the most that may well be so. All of them by common practice, no source. */
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
  { name: "mostMoves", low: 3, high: 16 },
  { name: "mostSeconds", low: 45, high: 300 },
];

/** The two that the level hangs on most: how much shoppers know, and how many cards they look at. */
export const mainUncertainties = uncertainties.filter(({ name }) => name === "known" || name === "first");

/** The share that finds its product where a lever is low, and where it is high. */
export interface Swing extends Uncertainty {
  atLow: number;
  atHigh: number;
}

/** Range of the share that finds its product under different assumptions. */
export interface Span {
  /** With both main levers low, and with both high. */
  least: number;
  most: number;
  /** Each lever by itself, what moves most first. */
  swings: Swing[];
}

/** Assumptions with some levers moved. */
export const withUncertainties = (
  assumptions: Assumptions,
  which: readonly Uncertainty[],
  end: "low" | "high",
): Assumptions => ({
  ...assumptions,
  values: { ...assumptions.values, ...Object.fromEntries(which.map((lever) => [lever.name, lever[end]])) },
});

/**
 * Finds how far the share that finds its product moves with what is assumed: the same shoppers are sent again with each lever low
 * and high, the others as they are.
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
