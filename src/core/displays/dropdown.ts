import { type Display, optionSettings } from "./display.ts";
import { opening } from "./interaction-cost.ts";
import { behindButton } from "./seeking.ts";
import { tooMany } from "./suits.ts";

/** A list behind a button. */
export const dropdown: Display = {
  label: "Dropdown",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside"],
  hands: opening,
  seek: behindButton,
  room: "control",
  unsuited: (profile) => tooMany(profile, 2000, "a dropdown", "A slider or a search field suits them."),
};
