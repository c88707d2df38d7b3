import type { Field } from "../catalogue/field.ts";
import type { SteadyFacet, WireFacet } from "./answer.ts";
import { type Base, baseOf, searchedIn } from "./base.ts";
import { ignoredBy, liveCounts, reachCount } from "./count.ts";
import { facetName } from "./engine.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import { kept } from "./index/kept.ts";
import type { SearchedField } from "./index/search-schema.ts";
import { facetOptions, Matcher, type PastSelection } from "./matcher.ts";
import type { Clause, Facet, Selection } from "./question.ts";
import { liveRange, rangeCounts, rangesOf } from "./range.ts";

/** Approximate number of bins of a histogram. */
export const histogramBins = 20;
/** Maximum number of cached facets; merges and limits are part of a question, so there is no limit to their variety. */
const maxSteady = 600;

/** A facet's live counts, and the name of the match that they count; see {@link Matcher.nameOf}. */
interface CountedFacet {
  answer: WireFacet;
  match: string;
}

/** The live counts of one selection. */
interface LiveCounts {
  /** The selection. */
  chosen: string;
  /** By {@link facetName}. */
  facets: Map<string, CountedFacet>;
  /** The counts of the selection before. */
  before: ReadonlyMap<string, CountedFacet>;
  /** Matches that the next selection can use. */
  past?: PastSelection | undefined;
}

/** One page's products and their counts, cached while the catalogue is unchanged. */
export class PageCounts {
  readonly index: CatalogueIndex;
  readonly base: Base;
  /** The weights of fields' words in a search. */
  readonly searching: readonly SearchedField[] | undefined;
  /** Products of the page before any choice. */
  readonly outOf: number;
  /** The page with nothing chosen, computed once for all facets. */
  #nothing: Matcher;
  #steady = new Map<string, SteadyFacet>();
  /** The last search, so that the next choice finds the same base. */
  #searched: { text: string; base: Base };
  /** The last selection's live counts: valid while it is unchanged, and what the next one's are computed from. */
  #live: LiveCounts = { chosen: "", facets: new Map(), before: new Map() };

  constructor(index: CatalogueIndex, within: readonly Clause[], searching?: readonly SearchedField[]) {
    this.index = index;
    this.searching = searching;
    this.base = baseOf(index, within, searching);
    this.#searched = { text: "", base: this.base };
    this.#nothing = new Matcher(index, this.base, [], {});
    this.outOf = this.#nothing.size();
  }

  /** Evaluates a selection on this page. @param facets those whose choices apply; their fields are in the catalogue */
  matcher(facets: readonly Facet[], { text, choices }: Selection): Matcher {
    if (text !== this.#searched.text)
      this.#searched = { text, base: searchedIn(this.index, this.base, text, this.searching) };
    return new Matcher(this.index, this.#searched.base, facets, choices, this.#live.past);
  }

  /** The live counts of facets for a selection. */
  live(matcher: Matcher, facets: readonly Facet[], { text, choices }: Selection): ReadonlyMap<string, WireFacet> {
    const chosen = JSON.stringify([
      text.trim(),
      facets.filter(({ field }) => choices[field]).map((facet) => [facet, choices[facet.field]]),
    ]);
    if (this.#live.chosen !== chosen || this.#live.facets.size > maxSteady)
      // Matches of the same name are equal only if they narrow the same products.
      this.#live = {
        ...{ chosen, facets: new Map(), past: this.#live.past },
        before: this.#live.past?.page === matcher.page ? this.#live.facets : new Map(),
      };
    const { facets: counted, before } = this.#live;
    const nothing = text.trim() === "" && facets.every(({ field }) => choices[field] === undefined);
    for (const facet of facets) {
      const name = facetName(facet);
      if (counted.has(name)) continue;
      const match = matcher.nameOf(ignoredBy(facet));
      const past = before.get(name);
      const isSame = past?.match === match;
      const count = () => (nothing ? this.#nothingChosen(facet) : this.count(matcher, facet));
      counted.set(name, { answer: isSame ? past.answer : count(), match });
    }
    this.#live.past = matcher.remembered;
    return new Map([...counted].map(([name, { answer }]) => [name, answer]));
  }

  /** Without a selection, the live counts are the steady ones. */
  #nothingChosen(facet: Facet): WireFacet {
    const { counts, range } = this.steady(facet);
    return { live: counts, ...(range ? { range } : {}) };
  }

  /** The part that does not change with the selection; computed once. The facet's field must be in the catalogue. */
  steady(facet: Facet): SteadyFacet {
    return kept(this.#steady, facetName(facet), () => this.#countSteady(facet), maxSteady);
  }

  #countSteady(facet: Facet): SteadyFacet {
    const nothing = this.#nothing;
    const range = facet.mode === "range";
    const ranges = range ? rangesOf(nothing, facet) : [];
    return {
      field: this.index.field(facet.field) as Field,
      level: this.index.level(facet.field),
      reach: reachCount(nothing, facet),
      options: range ? [] : [...facetOptions(this.index, facet).options],
      ranges,
      counts: range ? rangeCounts(nothing, facet, ranges) : liveCounts(nothing, facet),
      ...(range ? { range: liveRange(nothing, facet, histogramBins) } : {}),
    };
  }

  /** The live counts of one facet. */
  count(matcher: Matcher, facet: Facet): WireFacet {
    if (facet.mode !== "range") return { live: liveCounts(matcher, facet) };
    return {
      live: rangeCounts(matcher, facet, this.steady(facet).ranges),
      // The whole page's bins, so that a bin can be shown as empty now.
      range: liveRange(matcher, facet, this.steady(facet).range?.histogram?.edges ?? 0),
    };
  }
}
