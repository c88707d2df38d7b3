import type { Display } from "./display.ts";
import { pointing } from "./interaction-cost.ts";

/** On for yes, off for no choice at all. */
export const yesNoSwitch: Display = {
  label: "Switch",
  modes: ["any", "one"],
  settings: ["counting", "deadEnd"],
  hands: pointing,
  oneSided: true,
  room: "control",
  unsuited: ({ options }) =>
    options > 2
      ? `A switch needs a yes/no field, but there are ${options.toLocaleString("en")} values. Tiles or check boxes suit them.`
      : undefined,
};
