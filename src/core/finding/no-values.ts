import { inEachFacet } from "./finding.ts";

/** A facet that can show nothing: its field is gone, or no product states it. */
export const noValues = inEachFacet({
  name: "no-values",
  level: "error",
  find({ row, title, found, reach }) {
    if (found && reach > 0) return undefined;
    const remedy = { words: "Remove it", step: { do: "remove", row: row.id } } as const;
    if (!found) return { row: row.id, words: `${title}: the catalogue has no such field, so nothing appears.`, remedy };
    if (found.reach > 0)
      return { row: row.id, words: `${title} offers no option that a product has, so nothing appears.` };
    return {
      row: row.id,
      silentField: row.field,
      words: `${title}: no product states it, so nothing appears.`,
      remedy,
    };
  },
});
