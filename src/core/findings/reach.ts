import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { Answer, FacetAnswer } from "../engine/answer.ts";
import { countsOf } from "../engine/engine.ts";
import type { Choice, Clause, Facet, Question } from "../engine/question.ts";
import { offeredAnywhere, offeredRanges } from "../panel/offered.ts";
import { engineFacets, facetRows } from "../panel/panel.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import type { Awaitable, Facts } from "../profile/facts.ts";

/** By row, the number of the page's products found by some offered option of its facet. */
export type Reaches = ReadonlyMap<string, number>;

type Page = { within: Clause[] } & Partial<Pick<Question, "searching">>;

/**
 * The reach of a panel's facets on a page: products that at least one offered option finds. If bands offer different
 * options, the lowest reach of all bands.
 * @param answer for the panel's facets on the wide band
 * @param page the page's conditions and searched fields
 */
export async function reachesOf(
  facts: Pick<Facts, "ask">,
  panel: Pick<PanelDocument, "rows">,
  { facets }: Pick<Answer, "facets">,
  page: Page,
): Promise<Reaches> {
  const asked = new Map(engineFacets(panel, "wide").map((facet) => [facet.field, facet]));
  const reached = facetRows(panel).map(async (row): Promise<[string, number]> => {
    const [found, facet] = [facets[row.field], asked.get(row.field)];
    return [row.id, found && facet ? await reachOf(facts, row, facet, found, page) : 0];
  });
  return new Map(await Promise.all(reached));
}

async function reachOf(
  facts: Pick<Facts, "ask">,
  row: FacetRow,
  { field, merges, mode }: Facet,
  found: FacetAnswer,
  { within, searching }: Page,
): Promise<number> {
  const counted = async (asked: Facet, choice: Choice) =>
    (await facts.ask({ ...countsOf([asked], { text: "", choices: { [field]: choice } }, within), searching })).total;
  if (found.range) {
    const offered = offeredRanges(found);
    if (found.ranges.length > 0 && offered.length === 0) return 0;
    const ends = endsOf(offered);
    return ends ? counted({ field, mode: "range" }, ends) : found.reach;
  }
  const stated = found.options.filter((_, o) => (found.counts.steady[o] ?? 0) > 0).length;
  const any: Facet = { field, mode: mode === "tree" ? "tree" : "any", ...(merges ? { merges } : {}) };
  const ways = offeredAnywhere(row, found).map((offered): Awaitable<number> => {
    // All of a page's options together find all its products with a value.
    if (offered.length === stated) return found.reach;
    const ids = offered.flatMap((o) => found.options[o]?.id ?? []);
    return ids.length === 0 ? 0 : counted(any, { options: ids });
  });
  return Math.min(...(await Promise.all(ways)));
}

/** The range that spans some ranges; undefined if there are none, or it is open at both ends. */
function endsOf(offered: readonly Range[]): Choice | undefined {
  if (offered.length === 0) return undefined;
  const min = offered.some((one) => one.min === undefined)
    ? undefined
    : Math.min(...offered.map((one) => one.min ?? 0));
  const isOpen = offered.some(({ max, below }) => max === undefined && below === undefined);
  const last = offered.at(-1);
  if (min === undefined && isOpen) return undefined;
  return { min, ...(isOpen || !last ? {} : { max: last.max, below: last.below }) };
}
