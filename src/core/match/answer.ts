import type { Field } from "../catalogue/field.ts";
import type { Level, Option } from "../index/facet-index.ts";
import type { Card } from "../listing/card.ts";
import type { Sort } from "./order.ts";
import type { RangeAnswer } from "./range.ts";
import type { Facet, Range, Selection } from "./selection.ts";

/** What a listing page asks. */
export interface Question {
  facets: readonly Facet[];
  selection: Selection;
  sort: Sort;
  /** First product wanted and how many. */
  from: number;
  size: number;
}

/** Counts one an option, in the order of a facet's options or bands. */
export interface CountAnswer {
  /** Following what is chosen. */
  live: ArrayLike<number>;
  /** Over the whole page, nothing chosen. */
  steady: ArrayLike<number>;
}

/** A range facet, following what is chosen and over the whole page. */
export interface RangePair {
  live: RangeAnswer;
  steady: RangeAnswer;
}

/** What does not change with the selection. */
export interface SteadyFacet {
  field: Field;
  level: Level;
  /** Products of the page that state the field. */
  reach: number;
  /** In the order in which the catalogue first states them; none for a range. */
  options: readonly Option[];
  /** Of a range: the ranges that it is counted in. */
  bands: readonly Range[];
  /** Products of each option, or of each band of a range. */
  counts: ArrayLike<number>;
  range?: RangeAnswer;
}

export interface FacetAnswer extends Omit<SteadyFacet, "counts" | "range"> {
  counts: CountAnswer;
  /** For a facet whose mode is `range`. */
  range?: RangePair;
}

/** What a listing page is told. Plain data, so that it can come from a worker or over the wire. */
export interface Answer {
  /** Products that match, and products on the page before any choice. */
  total: number;
  outOf: number;
  /** The wanted stretch of the matching products, in order. */
  products: readonly Card[];
  /** By field key. */
  facets: Readonly<Record<string, FacetAnswer>>;
}

/** Answers questions about one page's products. Where the work is done is the engine's own affair. */
export interface Engine {
  ask(question: Question): Answer | Promise<Answer>;
}

/** An answer as it travels: parts that do not change with the selection are left out where the asker has them. */
export interface WireAnswer extends Omit<Answer, "facets"> {
  facets: Record<string, { live: ArrayLike<number>; range?: RangeAnswer; steady?: SteadyFacet }>;
}

/** Names what does not change with the selection for one facet. */
export const facetName = ({ field, mode, merges, bands }: Facet): string => JSON.stringify([field, mode, merges ?? null, bands ?? null]);

/** Puts an answer together with what does not change. Facets whose field the catalogue lacks have no answer. */
export function completeAnswer(wire: WireAnswer, { facets }: Question, steadyOf: (facet: Facet) => SteadyFacet | undefined): Answer {
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
