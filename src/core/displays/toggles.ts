import { type Display, optionSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooLong, tooMany } from "./suits.ts";

/** A bar of buttons that stay pressed. */
export const toggles = {
  label: "Toggle buttons",
  modes: ["any", "all", "one"],
  settings: optionSettings,
  hands: pointing,
  room: "rows",
  parts: ["toggle", "tile", "count"],
  specimen: { options: 2, settings: { counting: "none" } },
  unsuited: (profile) =>
    tooMany(profile, 8, "buttons in one bar", "Tiles or check boxes suit them.") ?? tooLong(profile, 24, "a button"),
} satisfies Display;
