import type { FindingKind } from "./finding.ts";
import { visitsWord } from "./visit-use.ts";

/** Visits from which words that found nothing are reported. Common practice, no source. */
const some = 3;
const maxWords = 3;

/** Words that several real shoppers searched for on the page in vain. */
export const soughtInVain: FindingKind = {
  name: "sought-in-vain",
  level: "note",
  needs: "visits",
  find({ visits, facets }) {
    // A panel that was not on the page has nothing to do with it.
    if (!visits || !facets.some(({ row }) => visits.fields.has(row.field))) return [];
    const words = visits.soughtInVain.filter((one) => one.visits >= some).slice(0, maxWords);
    if (words.length === 0) return [];
    const list = words.map((one) => `“${one.words}” (${one.visits} ${visitsWord(visits)})`).join(", ");
    return [{ words: `Shoppers searched this page in vain for ${list}.` }];
  },
};
