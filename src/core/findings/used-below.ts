import type { FindingKind } from "./finding.ts";
import { enoughVisits, visitsWord } from "./visit-use.ts";

/** A facet below one that real shoppers use less, by more than chance explains. */
export const usedBelow: FindingKind = {
  name: "used-below",
  level: "note",
  needs: "visits",
  find({ visits, facets }) {
    if (!visits || visits.visits < enoughVisits) return [];
    return facets.flatMap(({ row, title }, at) => {
      const use = visits.fields.get(row.field);
      if (!use) return [];
      const above = facets.slice(0, at).find((other) => (visits.fields.get(other.row.field)?.high ?? 1) < use.low);
      const less = above && visits.fields.get(above.row.field)?.used;
      if (!above || less === undefined) return [];
      return [
        {
          row: row.id,
          words: `${title} was used in ${use.used} of ${visits.visits} ${visitsWord(visits)}, but is below ${above.title}, which was used in ${less}.`,
          remedy: {
            words: `Move ${title} above ${above.title}`,
            step: { do: "move", row: row.id, before: above.row.id },
          },
        },
      ];
    });
  },
};
