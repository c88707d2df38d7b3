import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** A range whose typed minimum is above its maximum. */
export const swappedEnds = inEachFacet({
  name: "swapped-ends",
  level: "warning",
  find({ row, title }) {
    if (row.mode !== "range" || settingOn(row.settings, "ends", "wide") !== "typed") return undefined;
    const [min, max] = [settingOn(row.settings, "min", "wide"), settingOn(row.settings, "max", "wide")];
    if (min === null || max === null || min <= max) return undefined;
    return {
      row: row.id,
      words: `${title}: its limits are swapped, ${min} before ${max}. Should they be ${max} to ${min}?`,
      remedy: { words: "Swap the limits", step: { do: "swap-ends", row: row.id } },
    };
  },
});
