import { type Display, optionParts, type ShopFacts, swatchSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { isNumberLine, tooMany } from "./suits.ts";

/** Without their names beside them, three swatches take the room of one box. */
export const shopFacts: ShopFacts = { density: ({ caption }) => (caption === "hint" ? 3 : 1) };

/** Colours and pictures by themselves. */
export const swatches = {
  label: "Colour swatches",
  modes: ["any", "all", "one"],
  settings: swatchSettings,
  hands: pointing,
  room: "rows",
  shop: shopFacts,
  parts: ["swatch", ...optionParts, "field"],
  specimen: { field: "colour", options: 3 },
  swatches: true,
  unsuited: (profile) =>
    isNumberLine(profile, "Numbers and dates have no colours. A slider or tiles suit them.") ??
    tooMany(profile, 200, "swatches", "A dropdown or a search field suits them."),
} satisfies Display;
