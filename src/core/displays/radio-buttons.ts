import { type Display, listSettings, optionParts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooMany } from "./suits.ts";

/** Boxes are radio buttons wherever only one can be chosen. */
export const radioButtons = {
  label: "Radio buttons",
  modes: ["one"],
  settings: listSettings,
  hands: pointing,
  room: "lines",
  parts: ["box", ...optionParts, "field"],
  unsuited: (profile) => tooMany(profile, 200, "radio buttons", "A dropdown for one suits them."),
} satisfies Display;
