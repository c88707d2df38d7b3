import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Share of a scale without any value from which it is reported. Common practice, no source. */
const maxEmpty = 0.5;

/** Typed ends of a range that exclude products or are far from all of them. */
export const typedEnds = inEachFacet({
  name: "typed-ends",
  level: "warning",
  async find({ row, title, found }, { facts }) {
    if (row.mode !== "range" || !found || settingOn(row.settings, "ends", "wide") !== "typed") return undefined;
    const [min, max] = [
      settingOn(row.settings, "min", "wide") ?? undefined,
      settingOn(row.settings, "max", "wide") ?? undefined,
    ];
    const remedy = {
      words: "Use the limits of the products on the page",
      step: { do: "set", row: row.id, setting: "ends", value: "steady" },
    } as const;
    const outside = await facts.outside(row.field, { min, max });
    const [lowest, highest] = [found.range?.steady.min ?? undefined, found.range?.steady.max ?? undefined];
    if (outside === 0) {
      if (lowest === undefined || highest === undefined) return undefined;
      const [low, high] = [min ?? lowest, max ?? highest];
      const empty = high > low ? 1 - (highest - lowest) / (high - low) : 0;
      if (empty < maxEmpty) return undefined;
      return {
        row: row.id,
        words: `${title}: you typed limits from ${low} to ${high}, but all values are from ${lowest} to ${highest}. ${Math.round(100 * empty)}% of the scale has no products.`,
        remedy,
      };
    }
    return {
      row: row.id,
      words: `${title}: ${outside} ${outside === 1 ? "product is" : "products are"} outside the limits you typed; shoppers reach ${outside === 1 ? "it" : "them"} only by leaving that end open.`,
      remedy,
    };
  },
});
