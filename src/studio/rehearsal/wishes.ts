import type { Weighing } from "../../core/rehearsal/shopper.ts";
import type { Band } from "../../core/settings/band.ts";
/** The bands shown side by side. */
export const rehearsedBands = ["wide", "slim"] as const satisfies Band[];

export type RehearsedBand = (typeof rehearsedBands)[number];

/** The inputs of a rehearsal besides the state of the shop. */
export interface Wishes {
  address: string;
  shoppers: number;
  seed: number;
  weighing: Weighing;
}
