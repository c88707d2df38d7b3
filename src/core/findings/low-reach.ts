import { inEachFacet } from "./finding.ts";

/** Share of the page's products below which a facet's reach is reported. */
export const minReach = 0.6;

/** A facet whose options find few of the page's products, so that the others disappear with any choice. */
export const lowReach = inEachFacet({
  name: "low-reach",
  level: "warning",
  find({ row, title, found, reach }, { answer: { outOf } }) {
    if (!found || found.reach === 0 || reach >= outOf * minReach) return undefined;
    if (reach === found.reach)
      return {
        row: row.id,
        silentField: row.field,
        words: `Only ${reach} of ${outOf} products have a value for ${title}; the other ${outOf - reach} disappear once it is used.`,
      };
    return {
      row: row.id,
      words: `The options that ${title} offers find only ${reach} of ${outOf} products; ${found.reach} have a value for it. The other ${outOf - reach} disappear once it is used.`,
    };
  },
});
