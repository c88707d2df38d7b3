import type { Assumptions } from "./assumptions.ts";
import { compareWalks, type MeasureDifference } from "./compare.ts";
import { mainUncertainties, withUncertainties } from "./span.ts";
import type { Walk } from "./walk.ts";

/** The difference between two sides in the share that finds its product, under varied assumptions. */
export interface Robust {
  /** As assumed. */
  base: MeasureDifference;
  /** With shoppers who know less and look less far, and with those who know more and look farther. */
  low: MeasureDifference;
  high: MeasureDifference;
  /** The difference has the same sign at both extremes. */
  whatever: boolean;
}

/**
 * Compares the success rates of two sides under the given assumptions and at both extremes.
 * @param run sends the same shoppers through both, first through the present one
 */
export function robust(assumptions: Assumptions, run: (assumptions: Assumptions) => readonly [Walk[], Walk[]]): Robust {
  const differenceUnder = (given: Assumptions): MeasureDifference => {
    const [difference] = compareWalks(...run(given));
    if (!difference) throw new Error("The share that finds its product is compared first.");
    return difference;
  };
  const base = differenceUnder(assumptions);
  const [low, high] = [
    differenceUnder(withUncertainties(assumptions, mainUncertainties, "low")),
    differenceUnder(withUncertainties(assumptions, mainUncertainties, "high")),
  ];
  const whatever = [base, low, high].every(({ differs, mean }) => differs && mean > 0 === base.mean > 0);
  return { base, low, high, whatever };
}
