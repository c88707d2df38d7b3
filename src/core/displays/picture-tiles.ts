import { type Display, type ShopFacts, swatchSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { isNumberLine, tooMany } from "./suits.ts";

/** Two pictures beside each other take the room of one box. */
export const shopFacts: ShopFacts = { density: ({ caption }) => (caption === "beside" ? 1 : 2) };

/** Pictures or logos in tiles. */
export const pictureTiles = {
  label: "Picture tiles and logos",
  modes: ["any", "all", "one", "tree"],
  settings: swatchSettings,
  hands: pointing,
  room: "rows",
  shop: shopFacts,
  parts: ["picture", "count", "field"],
  specimen: { field: "colour", settings: { caption: { wide: "beside" } } },
  swatches: true,
  unsuited: (profile) =>
    isNumberLine(profile, "Numbers and dates have no pictures. A slider or tiles suit them.") ??
    tooMany(profile, 100, "pictures", "A dropdown or a search field suits them."),
} satisfies Display;
