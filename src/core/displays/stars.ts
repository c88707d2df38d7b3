import { isDay } from "../catalogue/field-kinds.ts";
import { type Display, optionParts, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { noNumbers } from "./suits.ts";

export const shopFacts: ShopFacts = { countedIn: () => ({ by: "stars", parts: 4 }) };

/** This many stars and up. */
export const stars = {
  label: "Stars and up",
  modes: ["range"],
  settings: ["counting", "emptyOptions"],
  hands: pointing,
  room: "lines",
  shop: shopFacts,
  parts: ["stars", "box", ...optionParts],
  specimen: { field: "rating" },
  unsuited: (profile) => {
    const fault = noNumbers(profile, "Stars");
    if (fault) return fault;
    const { field, min, max } = profile;
    if (isDay(field)) return "The values are dates. A date range suits them.";
    return (min ?? 0) < 0 || (max ?? 0) > 10
      ? `Stars show ratings up to 5 or 10, but the values go from ${min} to ${max}. A slider or price ranges suit them.`
      : undefined;
  },
} satisfies Display;
