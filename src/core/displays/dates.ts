import { isDay } from "../catalogue/field-kinds.ts";
import { type Display, rangeSettings } from "./display.ts";
import { typing } from "./interaction-cost.ts";

/** From one day to another. */
export const dates = {
  label: "Date range",
  modes: ["range"],
  settings: rangeSettings.filter((name) => name === "ends"),
  hands: typing,
  room: "control",
  parts: ["field"],
  specimen: { field: "made" },
  unsuited: ({ field, options }) =>
    isDay(field)
      ? undefined
      : `${options.toLocaleString("en")} values that are not dates. Set the date format in the import, or use a different display.`,
} satisfies Display;
