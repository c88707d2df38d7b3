import type { Display } from "./display.ts";
import { slider } from "./slider.ts";

/** A slider with two fields for its ends. */
export const sliderInputs = {
  ...slider,
  label: "Slider with inputs",
  parts: ["slider", "field", "hint"],
} satisfies Display;
