import { type Display, rangeSettings } from "./display.ts";
import { typing } from "./interaction-cost.ts";
import { noNumbers } from "./suits.ts";

/** Two fields to type the ends of a range into. */
export const numberInputs = {
  label: "Number inputs",
  modes: ["range"],
  settings: [...rangeSettings, "values"],
  hands: typing,
  room: "control",
  parts: ["field", "hint"],
  specimen: { field: "height" },
  unsuited: (profile) => noNumbers(profile, "A pair of inputs"),
} satisfies Display;
