import { isAmount } from "../catalogue/field-kinds.ts";
import { supportsSetting } from "../panel/choose-display.ts";
import { bands } from "../settings/band.ts";
import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Minimum share of a linear scale taken by half of the values. */
const least = 0.15;

/** A linear scale made useless by a few very large values. */
export const stretchedScale = inEachFacet({
  name: "stretched-scale",
  level: "warning",
  async find({ row, title }, { facts }) {
    if (
      row.mode !== "range" ||
      settingOn(row.settings, "scale", "wide") !== "even" ||
      !bands.some((band) => supportsSetting(row, "scale", band))
    )
      return undefined;
    const { field, min, max, middle, skewness } = (await facts.profile(row.field)) ?? {};
    if (!field || !isAmount(field) || min == null || max == null || middle == null || skewness === undefined)
      return undefined;
    const part = max > min ? (middle - min) / (max - min) : 1;
    if (skewness <= 1 || part >= least || min < 0) return undefined;
    return {
      row: row.id,
      words: `${title}: a few high values squeeze half of all values into the first ${Math.max(1, Math.round(part * 100))}% of the scale.`,
      remedy: { words: "Stretch the low values", step: { do: "set", row: row.id, setting: "scale", value: "bent" } },
    };
  },
});
