import { type Display, listSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooMany } from "./suits.ts";

/** Boxes to tick, one below the other. */
export const checkBoxes: Display = {
  label: "Check boxes",
  modes: ["any", "all", "tree"],
  settings: listSettings,
  hands: pointing,
  room: "lines",
  unsuited: (profile) => tooMany(profile, 500, "check boxes", "A slider, a dropdown or a search field suits them."),
};
