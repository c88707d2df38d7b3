import { inEachFacet } from "./finding.ts";
import { enoughVisits, visitsWord } from "./visit-use.ts";

/** Share of choices that are removed again from which it is reported. Common practice, no source. */
const often = 0.3;

/** A facet whose choices real shoppers often remove again: its options don't find what their names promise. */
export const oftenRemoved = inEachFacet({
  name: "often-removed",
  level: "note",
  needs: "visits",
  find({ row, title }, { visits }) {
    const use = visits?.fields.get(row.field);
    if (!visits || visits.visits < enoughVisits || !use || use.removedLow < often) return undefined;
    return {
      row: row.id,
      words: `In ${visitsWord(visits)}, ${use.removed} of ${use.chosen} choices in ${title} were removed again. Check what its options find.`,
    };
  },
});
