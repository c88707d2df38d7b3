import type { Field } from "../catalogue/field.ts";
import { type Bitmap, count, intersect } from "../index/bitmap.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { cardOf } from "../listing/card.ts";
import type { Answer, SteadyFacet, WireAnswer, WireFacet } from "./answer.ts";
import { liveCounts, reachCount } from "./count.ts";
import { completeAnswer, type Engine, facetName } from "./engine.ts";
import { facetOptions, Matcher } from "./matcher.ts";
import { sortProducts } from "./order.ts";
import type { Facet, Question } from "./question.ts";
import { liveRange, rangeCounts, rangesOf } from "./range.ts";

const histogramBins = 20;

/** The engine that computes where it stands: in the page, in a worker or on the server. */
export class LocalEngine implements Engine {
  readonly index: CatalogueIndex;
  #page: Bitmap;
  #steady = new Map<string, SteadyFacet>();
  /** What was counted last, which holds as long as the same is chosen in the same facets. */
  #live: { chosen: string; facets: Map<string, WireFacet> } = { chosen: "", facets: new Map() };

  /** @param page products of the page; all of the catalogue's by default */
  constructor(index: CatalogueIndex, page: Bitmap = index.allProducts()) {
    this.index = index;
    this.#page = page;
  }

  ask(question: Question): Answer {
    return completeAnswer(this.answer(question), question, (facet) => this.steady(facet));
  }

  /**
   * The answer as it travels.
   * @param has whether the asker has the unchanging part of a facet already, by {@link facetName}; by default it has all
   */
  answer({ facets, selection, sort, from, size }: Question, has: (name: string) => boolean = () => true): WireAnswer {
    const { index } = this;
    const known = facets.filter((facet) => index.field(facet.field) !== undefined);
    const found = index.search(selection.text);
    const page = found ? intersect(found, this.#page) : this.#page;
    const matcher = new Matcher(index, page, known, selection.choices);
    const matched = matcher.productIds();
    const chosen = JSON.stringify([
      selection.text.trim(),
      known.filter(({ field }) => selection.choices[field]).map((facet) => [facet, selection.choices[facet.field]]),
    ]);
    if (this.#live.chosen !== chosen) this.#live = { chosen, facets: new Map() };
    const answers: WireAnswer["facets"] = {};
    for (const facet of known) {
      const name = facetName(facet);
      let live = this.#live.facets.get(name);
      if (!live) {
        live =
          facet.mode === "range"
            ? {
                live: rangeCounts(matcher, facet, this.steady(facet).ranges),
                range: liveRange(matcher, facet, histogramBins),
              }
            : { live: liveCounts(matcher, facet) };
        this.#live.facets.set(name, live);
      }
      answers[facet.field] = has(name) ? live : { ...live, steady: this.steady(facet) };
    }
    const shown = size === 0 ? matched.subarray(0, 0) : sortProducts(index, matched, sort).subarray(from, from + size);
    return {
      total: matched.length,
      outOf: count(this.#page),
      products: Array.from(shown, (product) => cardOf(index, product)),
      facets: answers,
    };
  }

  /** What does not change with the selection; worked out once. The facet's field must be in the catalogue. */
  steady(facet: Facet): SteadyFacet {
    const name = facetName(facet);
    let steady = this.#steady.get(name);
    if (!steady) {
      const nothing = new Matcher(this.index, this.#page, [], {});
      const range = facet.mode === "range";
      const ranges = range ? rangesOf(nothing, facet) : [];
      steady = {
        field: this.index.field(facet.field) as Field,
        level: this.index.level(facet.field),
        reach: reachCount(this.index, this.#page, facet),
        options: range ? [] : [...facetOptions(this.index, facet).options],
        ranges,
        counts: range ? rangeCounts(nothing, facet, ranges) : liveCounts(nothing, facet),
        ...(range ? { range: liveRange(nothing, facet, histogramBins) } : {}),
      };
      this.#steady.set(name, steady);
    }
    return steady;
  }
}
