import { type Display, optionSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { levelByLevel } from "./seeking.ts";

/** Categories that fold. */
export const tree: Display = {
  label: "Tree",
  modes: ["tree"],
  settings: [...optionSettings, "nested", "maxHeight"],
  hands: pointing,
  seek: levelByLevel,
  room: "lines",
  unsuited: ({ depth }) =>
    depth > 1 ? undefined : "The values have one level only. Join levels with “ > ” in the catalogue to nest them.",
};
