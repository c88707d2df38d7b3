import type { Display } from "../display.ts";
import { CheckBoxes } from "./view.tsx";

export const checkBoxes: Display = {
  name: "check-boxes",
  label: "Check boxes",
  modes: ["any", "all"],
  unsuited: ({ options }) => (options > 500 ? `${options} values are too many for check boxes. A slider or a dropdown suits them.` : undefined),
  View: CheckBoxes,
};
