import { countedIn } from "./counted-in.ts";
import type { Display } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { noNumbers } from "./suits.ts";

/** Ranges of a number line to choose one of. */
export const priceRanges: Display = {
  label: "Price ranges",
  modes: ["range"],
  settings: ["counting", "deadEnd", "rangeBy", "rangeCount", "rangeLimits", "columns", "prefix", "suffix", "decimals"],
  hands: pointing,
  room: "lines",
  countedIn: countedIn["price-ranges"],
  unsuited: (profile) => noNumbers(profile, "A list of ranges"),
};
