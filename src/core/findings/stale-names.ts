import { countsOf } from "../engine/engine.ts";
import { engineMerges, staleValues } from "../panel/options.ts";
import { inEachFacet } from "./finding.ts";

/** Options named by the designer that no product states any more. */
export const staleNames = inEachFacet({
  name: "stale-names",
  level: "warning",
  async find({ row, title, found }, { facts }) {
    if (!row.options || !found || row.mode === "range") return undefined;
    const { field, mode } = row;
    const merges = engineMerges(row.options);
    const ask = async (of: typeof merges) => {
      const facet = of ? { field, mode, merges: of } : { field, mode };
      const { facets } = await facts.ask(countsOf([facet]));
      return facets[field]?.options.map(({ id }) => id) ?? [];
    };
    const stated = new Set([...(await ask(undefined)), ...(merges ? await ask(merges) : [])]);
    const gone = staleValues(row.options, (id) => stated.has(id));
    if (gone.length === 0) return undefined;
    const told = gone
      .map(({ label, products }) => (products > 0 ? `“${label}” (once ${products})` : `“${label}”`))
      .join(", ");
    return {
      row: row.id,
      words: `${title} has settings for ${gone.length === 1 ? "a value" : `${gone.length} values`} that no product has any more: ${told}.`,
      remedy: { words: "Remove them", step: { do: "forget", row: row.id, values: gone.map(({ id }) => id) } },
    };
  },
});
