import { type Display, optionSettings, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooLong, tooMany } from "./suits.ts";

/** Two short texts take the room of one box. */
export const shopFacts: ShopFacts = { density: () => 2 };

/** Words that wrap like a sentence. */
export const tags = {
  label: "Tags in a row",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside", "foldAfter", "maxHeight"],
  hands: pointing,
  room: "rows",
  shop: shopFacts,
  parts: ["tag", "tile", "count", "field"],
  unsuited: (profile) =>
    tooMany(profile, 100, "tags", "A dropdown or a search field suits them.") ?? tooLong(profile, 40, "a tag"),
} satisfies Display;
