import type { Display } from "../display.ts";
import { Switch } from "./view.tsx";

export const yesNoSwitch: Display = {
  name: "switch",
  label: "Switch",
  modes: ["any", "one"],
  settings: ["counting", "deadEnd"],
  unsuited: ({ options }) =>
    options > 2 ? `A switch is for yes or no, and there are ${options.toLocaleString("en")} values. Tiles or check boxes suit them.` : undefined,
  View: Switch,
};
