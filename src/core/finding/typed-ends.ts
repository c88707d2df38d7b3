import { settingOn } from "../setting/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Ends of a range that were typed in and leave products out. */
export const typedEnds = inEachFacet({
  name: "typed-ends",
  level: "warning",
  async find({ row, title, found }, { facts }) {
    if (row.mode !== "range" || !found || settingOn(row.settings, "ends", "wide") !== "typed") return undefined;
    const [min, max] = [
      settingOn(row.settings, "least", "wide") ?? undefined,
      settingOn(row.settings, "most", "wide") ?? undefined,
    ];
    const outside = await facts.outside(row.field, { min, max });
    if (outside === 0) return undefined;
    return {
      row: row.id,
      words: `${title}: ${outside} ${outside === 1 ? "product lies" : "products lie"} outside the typed ends and can be chosen only with all beyond them.`,
      remedy: { words: "Take the page's own ends", step: { do: "set", row: row.id, setting: "ends", value: "steady" } },
    };
  },
});
