import type { Operator } from "../display/hands.ts";

/**
 * Seconds of each operator. Source: Card, Moran and Newell (1980), table 1: K of an average typist of 40 words a
 * minute, P with a mouse to a target on a screen, H of the hands between keyboard and mouse, M of the mind made up.
 * From memory of the paper.
 */
export const operatorSeconds: Readonly<Record<Operator, number>> = { K: 0.28, P: 1.1, H: 0.4, M: 1.35 };

/** Seconds that a sequence of operators takes. @param seconds of each; those of the paper by default */
export const secondsOf = (acts: readonly Operator[], seconds = operatorSeconds): number =>
  acts.reduce((sum, act) => sum + seconds[act], 0);
