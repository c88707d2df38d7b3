import { type Display, listSettings, optionParts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooMany } from "./suits.ts";

/** Boxes to tick, one below the other. */
export const checkBoxes = {
  label: "Check boxes",
  modes: ["any", "all", "tree"],
  settings: listSettings,
  hands: pointing,
  room: "lines",
  parts: ["box", ...optionParts, "field"],
  unsuited: (profile) => tooMany(profile, 500, "check boxes", "A slider, a dropdown or a search field suits them."),
} satisfies Display;
