import type { Answer, FacetAnswer, SteadyFacet, WireAnswer } from "./answer.ts";
import type { SearchedField } from "./index/search-schema.ts";
import type { Clause, Facet, Question, Selection } from "./question.ts";
import { emptySelection } from "./selection.ts";

/** Answers questions about one page's products. Where it computes is up to the implementation. */
export interface Engine {
  ask(question: Question): Answer | Promise<Answer>;
}

/** A question for counts only, without products. @param within the page's conditions; the whole catalogue by default */
export const countsOf = (facets: Facet[], selection: Selection = emptySelection, within: Clause[] = []): Question => ({
  within,
  facets,
  selection,
  sort: "",
  from: 0,
  size: 0,
});

/** Cache key of a page: its conditions. */
export const pageKey = ({
  within,
  searching,
}: {
  within: readonly Clause[];
  searching?: readonly SearchedField[] | undefined;
}): string => JSON.stringify([within, searching ?? null]);

/** Cache key of the part of a facet's answer that does not change with the selection. */
export const facetName = ({ field, mode, merges, ranges, bent }: Facet): string =>
  JSON.stringify([field, mode, merges ?? null, ranges ?? null, bent ?? false]);

/**
 * Completes an answer with the parts that do not change. Facets whose field the catalogue lacks have no answer.
 * @param steadyOf the unchanging part of a facet; undefined if unknown here
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
