import { type Display, rangeSettings } from "./display.ts";
import { dragging } from "./interaction-cost.ts";
import { noNumbers } from "./suits.ts";

/** Two handles over a histogram. */
export const slider = {
  label: "Slider",
  modes: ["range"],
  settings: [...rangeSettings, "scale", "histogram", "bubbles", "values"],
  hands: dragging,
  room: "range",
  parts: ["slider", "hint"],
  specimen: { field: "height" },
  unsuited: (profile) => noNumbers(profile, "A slider"),
} satisfies Display;
