import { type Display, optionSettings, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooLong, tooMany } from "./suits.ts";

/** Two short texts take the room of one box. */
export const shopFacts: ShopFacts = { density: () => 2 };

/** Short texts in boxes. */
export const tiles = {
  label: "Tiles",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside", "foldAfter", "maxHeight"],
  hands: pointing,
  room: "rows",
  shop: shopFacts,
  parts: ["tile", "count", "field"],
  unsuited: (profile) =>
    tooMany(profile, 100, "tiles", "A slider or a dropdown suits them.") ?? tooLong(profile, 40, "a tile"),
} satisfies Display;
