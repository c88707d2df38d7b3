import { inEachFacet } from "./finding.ts";
import { enoughVisits, visitsWord } from "./visit-use.ts";

/** Share of the visits that open a facet and choose nothing from which it is reported. Common practice, no source. */
const often = 0.5;

/** A folded facet that real shoppers often open and leave: its title promises what its options don't offer. */
export const oftenLeft = inEachFacet({
  name: "often-left",
  level: "note",
  needs: "visits",
  find({ row, title }, { visits }) {
    const use = visits?.fields.get(row.field);
    if (!visits || visits.visits < enoughVisits || !use || use.leftLow < often) return undefined;
    return {
      row: row.id,
      words: `${title} was opened in ${use.unfolded} ${visitsWord(visits)}, and left without a choice in ${use.left}. Check whether its title and options match.`,
    };
  },
});
