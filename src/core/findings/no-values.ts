import { countingOf } from "../displays/shop-facts.ts";
import { resolve } from "../settings/band.ts";
import { inEachFacet } from "./finding.ts";

/** A facet that can show nothing: its field is gone, or no product has a value. */
export const noValues = inEachFacet({
  name: "no-values",
  level: "error",
  find({ row, title, found, reach }) {
    const remedy = { words: "Remove it", step: { do: "remove", row: row.id } } as const;
    const countedIn = countingOf(resolve(row.display, "wide"));
    if (found && countedIn && found.reach > 0 && found.ranges.length === 0)
      return {
        row: row.id,
        words: `${title} has the same value in all ${found.reach} products, so there are no ranges and shoppers see nothing.`,
        remedy,
      };
    if (found && reach > 0) return undefined;
    if (!found)
      return {
        row: row.id,
        words: `${title}: the catalogue doesn’t have this field, so shoppers see nothing.`,
        remedy,
      };
    if (found.reach > 0)
      return { row: row.id, words: `${title} has no option that matches a product, so shoppers see nothing.` };
    return {
      row: row.id,
      silentField: row.field,
      words: `${title}: no product has a value for it, so shoppers see nothing.`,
      remedy,
    };
  },
});
