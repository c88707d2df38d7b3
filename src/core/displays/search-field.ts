import { type Display, optionParts, optionSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { maxFound, typedInto } from "./seeking.ts";
import { isNumberLine } from "./suits.ts";

/** A field that finds options by name. */
export const searchField = {
  label: "Search field",
  modes: ["any", "all", "one"],
  settings: optionSettings,
  hands: pointing,
  seek: typedInto(maxFound),
  room: "control",
  parts: ["field", "box", ...optionParts, "hint"],
  specimen: { options: 3 },
  unsuited: (profile) =>
    isNumberLine(profile, "A slider or number inputs suit them.") ??
    (profile.options < 8 ? `With only ${profile.options} values, all can be shown. Check boxes suit them.` : undefined),
} satisfies Display;
