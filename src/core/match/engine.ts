import { type Bitmap, count, intersect } from "../index/bitmap.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { liveCounts, reachCount } from "./count.ts";
import { Matcher } from "./matcher.ts";
import { type Sort, sortProducts } from "./order.ts";
import { liveRange, type RangeAnswer } from "./range.ts";
import type { Facet, Selection } from "./selection.ts";

/** What a listing page asks. */
export interface Question {
  facets: readonly Facet[];
  selection: Selection;
  sort: Sort;
  /** First product wanted and how many. */
  from: number;
  size: number;
}

/** Counts of a discrete facet, in the order of the index's options. */
export interface CountAnswer {
  /** Following what is chosen. */
  live: Uint32Array;
  /** Over the whole page, nothing chosen. */
  steady: Uint32Array;
}

/** A range facet, following what is chosen and over the whole page. */
export interface RangePair {
  live: RangeAnswer;
  steady: RangeAnswer;
}

export interface FacetAnswer {
  /** Products of the page that state the field. */
  reach: number;
  counts?: CountAnswer;
  range?: RangePair;
}

/** What a listing page is told. */
export interface Answer {
  /** Products that match, and products on the page before any choice. */
  total: number;
  outOf: number;
  /** The wanted stretch of the matching products, in order. */
  products: Uint32Array;
  /** By field key. */
  facets: ReadonlyMap<string, FacetAnswer>;
}

/** Answers questions about one page's products. Where the work is done is the engine's own affair. */
export interface Engine {
  ask(question: Question): Answer | Promise<Answer>;
}

const histogramBins = 20;

/** The engine that computes where it stands, in the page or on the server. */
export class LocalEngine implements Engine {
  readonly index: CatalogueIndex;
  #page: Bitmap;
  /** What does not depend on the selection, by field and mode. */
  #steady = new Map<string, { reach: number; counts?: Uint32Array; range?: RangeAnswer }>();

  /** @param page products of the page; all of the catalogue's by default */
  constructor(index: CatalogueIndex, page: Bitmap = index.allProducts()) {
    this.index = index;
    this.#page = page;
  }

  ask({ facets: asked, selection, sort, from, size }: Question): Answer {
    const { index } = this;
    const facets = asked.filter((facet) => index.field(facet.field) !== undefined);
    const found = index.text.search(selection.text);
    const page = found ? intersect(found, this.#page) : this.#page;
    const matcher = new Matcher(index, page, facets, selection.choices);
    const matched = matcher.productIds();
    const answers = new Map<string, FacetAnswer>();
    for (const facet of facets) {
      const steady = this.#steadyOf(facet);
      answers.set(
        facet.field,
        facet.mode === "range"
          ? {
              reach: steady.reach,
              range: { live: liveRange(matcher, facet, histogramBins), steady: steady.range as RangeAnswer },
            }
          : {
              reach: steady.reach,
              counts: { live: liveCounts(matcher, facet), steady: steady.counts as Uint32Array },
            },
      );
    }
    return {
      total: matched.length,
      outOf: count(this.#page),
      products: sortProducts(index, matched, sort).slice(from, from + size),
      facets: answers,
    };
  }

  #steadyOf(facet: Facet) {
    const key = `${facet.mode} ${facet.field}`;
    let steady = this.#steady.get(key);
    if (!steady) {
      const reach = reachCount(this.index, this.#page, facet);
      const nothing = new Matcher(this.index, this.#page, [], {});
      steady = facet.mode === "range" ? { reach, range: liveRange(nothing, facet, histogramBins) } : { reach, counts: liveCounts(nothing, facet) };
      this.#steady.set(key, steady);
    }
    return steady;
  }
}
