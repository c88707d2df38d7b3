import { engineMerges } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { inEachFacet } from "./finding.ts";

/** An all-of facet whose frequent options find nothing together. */
export const allOfDeadPairs = inEachFacet({
  name: "all-of-dead-pairs",
  level: "warning",
  async find({ row, title, found }, { facts }) {
    if (row.mode !== "all" || !found) return undefined;
    const { dead, pairs } = await facts.deadPairs({ field: row.field, merges: engineMerges(rulesOf(row)) });
    if (dead === 0) return undefined;
    return {
      row: row.id,
      words: `${title} needs all chosen options to match, but ${dead} of ${pairs} pairs of its most common options have no products.`,
      remedy: { words: "Change to “any of”", step: { do: "mode", row: row.id, mode: "any" } },
    };
  },
});
