import { type Display, rangeSettings } from "../display.ts";
import { noNumbers } from "../suits.ts";
import { NumberInputs } from "./view.tsx";

export const numberInputs: Display = {
  name: "number-inputs",
  label: "Number inputs",
  modes: ["range"],
  settings: [...rangeSettings, "values"],
  unsuited: (profile) => noNumbers(profile, "A pair of inputs"),
  View: NumberInputs,
};
