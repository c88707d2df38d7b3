import type { Operator } from "../displays/interaction-cost.ts";
import type { Band } from "../settings/band.ts";

/**
 * Seconds of each operator. Source: Card, Moran and Newell (1980), table 1: K of an average typist of 40 words a
 * minute, which the paper takes for a button too, P with a mouse to a target on a screen, H of the hands between
 * keyboard and mouse, M of the mind made up. From memory of the paper.
 */
export const operatorSeconds: Readonly<Record<Operator, number>> = { K: 0.28, B: 0.28, P: 1.1, H: 0.4, M: 1.35 };

/** Seconds for a sequence of operators. @param seconds of each; those of the paper by default */
export const secondsOf = (acts: readonly Operator[], seconds = operatorSeconds): number =>
  acts.reduce((sum, act) => sum + seconds[act], 0);

/**
 * Seconds of each operator on a band: with mouse and keyboard on wide, by thumb on narrower screens, where pointing
 * includes the press and typing needs no hand movement.
 */
export const operatorsOn = (
  band: Band,
  assumed: Readonly<Record<"press" | "point" | "home" | "mind" | "tap" | "type", number>>,
): Readonly<Record<Operator, number>> =>
  band === "wide"
    ? { K: assumed.press, B: assumed.press, P: assumed.point, H: assumed.home, M: assumed.mind }
    : { K: assumed.type, B: 0, P: assumed.tap, H: 0, M: assumed.mind };
