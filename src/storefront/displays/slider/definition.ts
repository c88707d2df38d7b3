import { type Display, rangeSettings } from "../display.ts";
import { noNumbers } from "../suits.ts";
import { Slider } from "./view.tsx";

export const slider: Display = {
  name: "slider",
  label: "Slider",
  modes: ["range"],
  settings: [...rangeSettings, "scale", "histogram", "bubbles", "values"],
  unsuited: (profile) => noNumbers(profile, "A slider"),
  View: Slider,
};
