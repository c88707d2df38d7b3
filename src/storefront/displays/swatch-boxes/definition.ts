import { type Display, listSettings } from "../display.ts";
import { isNumberLine, tooMany } from "../suits.ts";
import { SwatchBoxes } from "./view.tsx";

export const swatchBoxes: Display = {
  name: "swatch-boxes",
  label: "Check boxes with a swatch",
  modes: ["any", "all", "one"],
  settings: [...listSettings, "shape", "edge"],
  unsuited: (profile) =>
    isNumberLine(profile, "They have no colours; a slider or tiles suit them.") ??
    tooMany(profile, 200, "swatches", "A dropdown or a search field suits them."),
  View: SwatchBoxes,
};
