import { isNumeric } from "../../../core/catalogue/field.ts";
import type { Display } from "../display.ts";
import { Swatches } from "./view.tsx";

export const swatches: Display = {
  name: "swatches",
  label: "Colour swatches",
  modes: ["any", "all", "one"],
  unsuited: ({ field, options }) => {
    if (isNumeric(field)) return "The values are numbers, which have no colours. A slider or tiles suit them.";
    return options > 200 ? `${options} values are too many for swatches. A dropdown suits them.` : undefined;
  },
  View: Swatches,
};
