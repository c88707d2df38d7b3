import type { FindingDraft, FindingKind } from "./finding.ts";

/** Agreement from which two fields count as one question. Common practice, no source. */
const same = 0.95;

/** Two facets over fields with the same information, so that one is enough. */
export const sameQuestion: FindingKind = {
  name: "same-question",
  level: "note",
  async find({ facets, facts }) {
    const found: FindingDraft[] = [];
    const known = facets.filter(({ row }, at) => facets.findIndex((one) => one.row.field === row.field) === at);
    for (const [at, { row, title }] of known.entries()) {
      for (const before of known.slice(0, at)) {
        const share = await facts.agreement(before.row.field, row.field);
        if (share < same) continue;
        found.push({
          row: row.id,
          words: `${title} repeats ${before.title}: one predicts ${Math.floor(share * 100)}% of the other.`,
          remedy: { words: `Remove ${title}`, step: { do: "remove", row: row.id } },
        });
        break;
      }
    }
    return found;
  },
};
