import { type Display, listSettings, optionParts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { isNumberLine, tooMany } from "./suits.ts";

/** Boxes to tick with a swatch beside the words. */
export const swatchBoxes = {
  label: "Check boxes with a swatch",
  modes: ["any", "all", "one"],
  settings: [...listSettings, "shape", "edge"],
  hands: pointing,
  room: "lines",
  parts: ["box", ...optionParts, "field", "swatch"],
  specimen: { field: "colour" },
  swatches: true,
  unsuited: (profile) =>
    isNumberLine(profile, "Numbers and dates have no colours. A slider or tiles suit them.") ??
    tooMany(profile, 200, "swatches", "A dropdown or a search field suits them."),
} satisfies Display;
