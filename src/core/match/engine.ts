import type { Answer, FacetAnswer, SteadyFacet, WireAnswer } from "./answer.ts";
import type { Facet, Question } from "./question.ts";

/** Answers questions about one page's products. Where the work is done is the engine's own affair. */
export interface Engine {
  ask(question: Question): Answer | Promise<Answer>;
}

/** Names what does not change with the selection for one facet. */
export const facetName = ({ field, mode, merges, ranges }: Facet): string =>
  JSON.stringify([field, mode, merges ?? null, ranges ?? null]);

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
