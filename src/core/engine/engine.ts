import type { Answer, FacetAnswer, SteadyFacet, WireAnswer } from "./answer.ts";
import type { SearchedField } from "./index/search-schema.ts";
import type { Clause, Facet, Question, Selection } from "./question.ts";
import { emptySelection } from "./selection.ts";

/** Answers questions about one page's products. Where the work is done is the engine's own affair. */
export interface Engine {
  ask(question: Question): Answer | Promise<Answer>;
}

/** The question for counts alone, without products. @param within what the page asks; the whole catalogue by default */
export const countsOf = (facets: Facet[], selection: Selection = emptySelection, within: Clause[] = []): Question => ({
  within,
  facets,
  selection,
  sort: "",
  from: 0,
  size: 0,
});

/** Names a page by what it asks of its products. */
export const pageKey = ({
  within,
  searching,
}: {
  within: readonly Clause[];
  searching?: readonly SearchedField[] | undefined;
}): string => JSON.stringify([within, searching ?? null]);

/** Names what does not change with the selection for one facet. */
export const facetName = ({ field, mode, merges, ranges, bent }: Facet): string =>
  JSON.stringify([field, mode, merges ?? null, ranges ?? null, bent ?? false]);

/**
 * Puts an answer together with what does not change. Facets whose field the catalogue lacks have no answer.
 * @param steadyOf what does not change of a facet; undefined when it is not known here
 */
export function completeAnswer(
  wire: WireAnswer,
  { facets }: Question,
  steadyOf: (facet: Facet) => SteadyFacet | undefined,
): Answer {
  const answers: Record<string, FacetAnswer> = {};
  for (const facet of facets) {
    const live = Object.hasOwn(wire.facets, facet.field) ? wire.facets[facet.field] : undefined;
    const steady = live && steadyOf(facet);
    if (!live || !steady) continue;
    const { counts, range, ...rest } = steady;
    answers[facet.field] = {
      ...rest,
      counts: { live: live.live, steady: counts },
      ...(live.range && range ? { range: { live: live.range, steady: range } } : {}),
    };
  }
  return { ...wire, facets: answers };
}
