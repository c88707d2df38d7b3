import type { Assumptions } from "./assumptions.ts";
import { compareWalks, type MeasureDifference } from "./compare.ts";
import { mainUncertainties, withUncertainties } from "./span.ts";
import type { Walk } from "./walk.ts";

/** How the share that finds its product differs between two sides, whatever is assumed of shoppers. */
export interface Robust {
  /** As assumed. */
  base: MeasureDifference;
  /** Where shoppers know less and look less far, and where they know more and look farther. */
  low: MeasureDifference;
  high: MeasureDifference;
  /** It differs in the same direction at both ends as well. */
  whatever: boolean;
}

/**
 * Compares the shares that arrive of two sides, as assumed and at both ends of what may be so as well.
 * @param run sends the same shoppers through both, first through the one that is there before
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
