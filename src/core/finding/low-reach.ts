import { inEachFacet } from "./finding.ts";

/** Share of the products below which a facet's reach is worth a word. */
export const leastReach = 0.6;

/** A facet that many products of the page do not state, so that they vanish with any choice. */
export const lowReach = inEachFacet({
  name: "low-reach",
  level: "warning",
  find({ row, title, found }, { answer: { outOf } }) {
    if (!found || found.reach === 0 || found.reach >= outOf * leastReach) return undefined;
    return {
      row: row.id,
      silentField: row.field,
      words: `${title} reaches ${found.reach} of ${outOf} products; ${outOf - found.reach} do not state it and vanish with any choice.`,
    };
  },
});
