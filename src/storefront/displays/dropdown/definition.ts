import type { Display } from "../display.ts";
import { Dropdown } from "./view.tsx";

export const dropdown: Display = {
  name: "dropdown",
  label: "Dropdown",
  modes: ["any", "all", "one", "tree"],
  unsuited: ({ options }) => (options > 2000 ? `${options} values are too many for a dropdown. A slider or a search field suits them.` : undefined),
  View: Dropdown,
};
