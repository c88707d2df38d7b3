import type { Display } from "../display.ts";
import { Slider } from "./view.tsx";

export const slider: Display = {
  name: "slider",
  label: "Slider with inputs",
  modes: ["range"],
  unsuited: ({ field, options, numbers }) => {
    if (field.kind !== "number" && field.kind !== "date") return `${numbers} of ${options} values are numbers. A slider needs numbers or dates only.`;
    return numbers < 2 ? "All values are the same, so there is nothing to slide between." : undefined;
  },
  View: Slider,
};
