import { type Display, swatchSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { isNumberLine, tooMany } from "./suits.ts";

/** Pictures or logos in tiles. */
export const pictureTiles: Display = {
  label: "Picture tiles and logos",
  modes: ["any", "all", "one", "tree"],
  settings: swatchSettings,
  hands: pointing,
  room: "rows",
  swatches: true,
  unsuited: (profile) =>
    isNumberLine(profile, "Numbers and dates have no pictures. A slider or tiles suit them.") ??
    tooMany(profile, 100, "pictures", "A dropdown or a search field suits them."),
};
