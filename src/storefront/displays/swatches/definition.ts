import { type Display, listSettings } from "../display.ts";
import { isNumberLine, tooMany } from "../suits.ts";
import { Swatches } from "./view.tsx";

export const swatches: Display = {
  name: "swatches",
  label: "Colour swatches",
  modes: ["any", "all", "one"],
  settings: [...listSettings, "caption", "shape", "size", "gap", "edge"],
  unsuited: (profile) =>
    isNumberLine(profile, "They have no colours; a slider or tiles suit them.") ??
    tooMany(profile, 200, "swatches", "A dropdown or a search field suits them."),
  View: Swatches,
};
