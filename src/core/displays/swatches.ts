import { type Display, swatchSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { isNumberLine, tooMany } from "./suits.ts";

/** Colours and pictures by themselves. */
export const swatches: Display = {
  label: "Colour swatches",
  modes: ["any", "all", "one"],
  settings: swatchSettings,
  hands: pointing,
  room: "rows",
  swatches: true,
  unsuited: (profile) =>
    isNumberLine(profile, "Numbers and dates have no colours. A slider or tiles suit them.") ??
    tooMany(profile, 200, "swatches", "A dropdown or a search field suits them."),
};
