import type { Display } from "./display.ts";
import { slider } from "./slider.ts";

export const sliderInputs: Display = { ...slider, label: "Slider with inputs" };
