import { type Display, optionParts, optionSettings, type ShopFacts } from "./display.ts";
import { opening } from "./interaction-cost.ts";
import { behindButton } from "./seeking.ts";
import { tooMany } from "./suits.ts";

export const shopFacts: ShopFacts = { levels: true };

/** A list behind a button. */
export const dropdown = {
  label: "Dropdown",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside"],
  hands: opening,
  seek: behindButton,
  room: "control",
  shop: shopFacts,
  parts: ["field", "menu", "box", ...optionParts],
  specimen: { options: 3 },
  unsuited: (profile) => tooMany(profile, 2000, "a dropdown", "A slider or a search field suits them."),
} satisfies Display;
