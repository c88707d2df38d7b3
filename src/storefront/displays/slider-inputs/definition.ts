import type { Display } from "../display.ts";
import { slider } from "../slider/definition.ts";
import { SliderInputs } from "./view.tsx";

export const sliderInputs: Display = { ...slider, name: "slider-inputs", label: "Slider with inputs", View: SliderInputs };
