import { type Display, optionParts, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { noNumbers } from "./suits.ts";

export const shopFacts: ShopFacts = {
  countedIn: ({ rangeBy, rangeCount, rangeLimits }) =>
    rangeBy === "typed" ? { limits: rangeLimits } : { by: rangeBy, parts: rangeCount },
};

/** Ranges of a number line to choose one of. */
export const priceRanges = {
  label: "Price ranges",
  modes: ["range"],
  settings: [
    "counting",
    "emptyOptions",
    "rangeBy",
    "rangeCount",
    "rangeLimits",
    "columns",
    "prefix",
    "suffix",
    "decimals",
  ],
  hands: pointing,
  room: "lines",
  shop: shopFacts,
  parts: ["box", ...optionParts],
  specimen: { field: "price" },
  unsuited: (profile) => noNumbers(profile, "A list of ranges"),
} satisfies Display;
