import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Typed ends of a range that stand the wrong way round. */
export const swappedEnds = inEachFacet({
  name: "swapped-ends",
  level: "warning",
  find({ row, title }) {
    if (row.mode !== "range" || settingOn(row.settings, "ends", "wide") !== "typed") return undefined;
    const [least, most] = [settingOn(row.settings, "least", "wide"), settingOn(row.settings, "most", "wide")];
    if (least === null || most === null || least <= most) return undefined;
    return {
      row: row.id,
      words: `${title}: its limits are swapped, ${least} before ${most}. Should they be ${most} to ${least}?`,
      remedy: { words: "Swap the limits", step: { do: "swap-ends", row: row.id } },
    };
  },
});
