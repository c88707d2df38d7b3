import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Options sorted by name although they have a natural order, so that April comes before January. */
export const meaninglessOrder = inEachFacet({
  name: "meaningless-order",
  level: "warning",
  async find({ row, title, found }, { facts }) {
    if (!found || found.range || settingOn(row.settings, "order", "wide") !== "name") return undefined;
    const { series } = (await facts.profile(row.field)) ?? {};
    if (!series) return undefined;
    const [first, second] = found.options.map(({ label }) => label).toSorted((a, b) => a.localeCompare(b, "en"));
    return {
      row: row.id,
      words: `${title} sorts ${series} by name: ${first} comes before ${second}.`,
      remedy: {
        words: `Sort the ${series} in their natural order`,
        step: { do: "set", row: row.id, setting: "order", value: "natural" },
      },
    };
  },
});
