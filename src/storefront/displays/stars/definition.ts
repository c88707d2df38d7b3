import type { Display } from "../display.ts";
import { noNumbers } from "../suits.ts";
import { Stars } from "./view.tsx";

export const stars: Display = {
  name: "stars",
  label: "Stars and up",
  modes: ["range"],
  settings: ["counting", "deadEnd"],
  unsuited: (profile) => {
    const fault = noNumbers(profile, "Stars");
    if (fault) return fault;
    const { field, min, max } = profile;
    if (field.kind === "date") return "The values are days. A date range suits them.";
    return (min ?? 0) < 0 || (max ?? 0) > 5 ? `Stars go from 0 to 5 and the values from ${min} to ${max}. A slider or bands suit them.` : undefined;
  },
  View: Stars,
};
