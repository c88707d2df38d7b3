import { type Display, listSettings, optionParts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooMany } from "./suits.ts";

/** Plain words; chosen ones are bold. */
export const plainList = {
  label: "Plain list",
  modes: ["any", "all", "one", "tree"],
  settings: listSettings,
  hands: pointing,
  room: "lines",
  parts: ["plain", ...optionParts, "field"],
  unsuited: (profile) => tooMany(profile, 500, "a list", "A dropdown or a search field suits them."),
} satisfies Display;
