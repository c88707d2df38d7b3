import { type Display, listSettings } from "../display.ts";
import { tooMany } from "../suits.ts";
import { CheckBoxes } from "./view.tsx";

export const checkBoxes: Display = {
  name: "check-boxes",
  label: "Check boxes",
  modes: ["any", "all"],
  settings: listSettings,
  unsuited: (profile) => tooMany(profile, 500, "check boxes", "A slider, a dropdown or a search field suits them."),
  View: CheckBoxes,
};
