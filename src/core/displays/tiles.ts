import { type Display, optionSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooLong, tooMany } from "./suits.ts";

/** Short texts in boxes. */
export const tiles: Display = {
  label: "Tiles",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside", "foldAfter", "maxHeight"],
  hands: pointing,
  room: "rows",
  unsuited: (profile) =>
    tooMany(profile, 100, "tiles", "A slider or a dropdown suits them.") ?? tooLong(profile, 40, "a tile"),
};
