import { type Display, optionSettings } from "../display.ts";
import { tooLong, tooMany } from "../suits.ts";
import { Tiles } from "./view.tsx";

export const tiles: Display = {
  name: "tiles",
  label: "Tiles",
  modes: ["any", "all", "one"],
  settings: [...optionSettings, "searchInside", "foldAfter", "maxHeight"],
  unsuited: (profile) => tooMany(profile, 100, "tiles", "A slider or a dropdown suits them.") ?? tooLong(profile, 40, "a tile"),
  View: Tiles,
};
