import { inEachFacet } from "./finding.ts";
import { enoughVisits, visitsWord } from "./visit-use.ts";

/** Share of visits below which a facet is hardly used, at the upper end of the interval. Common practice, no source. */
const hardly = 0.03;

/** A facet that real shoppers hardly use. */
export const rarelyUsed = inEachFacet({
  name: "rarely-used",
  level: "note",
  needs: "visits",
  find({ row, title }, { visits }) {
    if (!visits || visits.visits < enoughVisits) return undefined;
    const use = visits.fields.get(row.field);
    if (!use || use.high >= hardly) return undefined;
    return {
      row: row.id,
      words: `${title} was used in ${use.used} of ${visits.visits} ${visitsWord(visits)} to this page.`,
      remedy: { words: `Remove ${title}`, step: { do: "remove", row: row.id } },
    };
  },
});
