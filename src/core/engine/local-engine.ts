import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { Answer, WireAnswer, WireFacet } from "./answer.ts";
import { cardOf } from "./cards/card.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "./engine.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import { kept } from "./index/kept.ts";
import type { SearchedField } from "./index/search-schema.ts";
import type { Matcher } from "./matcher.ts";
import { byPlace, byRelevance, sortProducts } from "./order.ts";
import { PageCounts } from "./page-counts.ts";
import type { Clause, Facet, Question } from "./question.ts";
import { relaxations } from "./relaxations.ts";
import { bestMatch, pickedOrder } from "./sort-keys.ts";

/** Maximum number of cached pages, evicting the least recently used. */
const maxPages = 40;

/** The page's and the shopper's search words together. */
export const wordsIn = (within: readonly Clause[], text: string): string =>
  [...within.flatMap((clause) => clause.flatMap((one) => ("words" in one ? one.words : []))), text].join(" ").trim();

/** The ids of the products that a page names, in its order. */
export const idsIn = (within: readonly Clause[]): string[] =>
  within.flatMap((clause) => clause.flatMap((one) => ("products" in one ? one.products : [])));

/** See {@link LocalEngine.look}. */
export interface Look {
  /** Products that match. */
  total: number;
  /** Their numbers, in the question's order. */
  found(): Uint32Array;
  /** Live counts of a facet, in the order of its options or ranges. */
  counts(facet: Facet): WireFacet["live"];
  /** Number of products after replacing one field's choice by a range. */
  within(field: string, range: Range): number;
}

/** The engine that computes in place: in the page, in a worker or on the server. */
export class LocalEngine implements Engine {
  readonly index: CatalogueIndex;
  #pages = new Map<string, PageCounts>();
  #ids: Set<string> | undefined;

  constructor(index: CatalogueIndex) {
    this.index = index;
  }

  ask(question: Question): Answer {
    const page = this.page(question.within, question.searching);
    return completeAnswer(this.answer(question), question, (facet) => page.steady(facet));
  }

  /**
   * The answer as sent.
   * @param has whether the caller already has the unchanging part of a facet, by {@link facetName}; by default it does
   */
  answer(question: Question, has: (name: string) => boolean = () => true): WireAnswer {
    const { within, facets, selection, show, mends, searching, from, size } = question;
    const { index } = this;
    const page = this.page(within, searching);
    const known = facets.filter((facet) => index.field(facet.field) !== undefined);
    const matcher = page.matcher(known, selection);
    const matched = matcher.productIds();
    const live = page.live(matcher, known, selection);
    const answers: WireAnswer["facets"] = {};
    for (const facet of known) {
      const name = facetName(facet);
      const own = live.get(name);
      if (own) answers[facet.field] = has(name) ? own : { ...own, steady: page.steady(facet) };
    }
    const { fits } = matcher;
    const shown =
      size === 0 ? matched.subarray(0, 0) : this.#ordered(matched, matcher, question).subarray(from, from + size);
    return {
      total: matched.length,
      outOf: page.outOf,
      products: Array.from(shown, (product) => cardOf(index, product, fits, show)),
      facets: answers,
      ...(mends && matched.length === 0
        ? {
            takeBacks: relaxations(page, known, selection),
            near: index.text.near(wordsIn(within, selection.text), searching),
          }
        : {}),
    };
  }

  /** The ids of all products found by a question, in its order, regardless of its page size. */
  found(question: Question): string[] {
    const { facets, selection, within, searching } = question;
    const known = facets.filter((facet) => this.index.field(facet.field) !== undefined);
    const matcher = this.page(within, searching).matcher(known, selection);
    const { productIds } = this.index.catalogue;
    return Array.from(this.#ordered(matcher.productIds(), matcher, question), (product) => productIds[product] ?? "");
  }

  /**
   * A question evaluated lazily, for callers that need several results: its counts equal those of an answer, but only
   * requested ones are computed.
   */
  look(question: Question): Look {
    const { facets, selection, within, searching } = question;
    const page = this.page(within, searching);
    const known = facets.filter((facet) => this.index.field(facet.field) !== undefined);
    const matcher = page.matcher(known, selection);
    const counts = new Map<string, WireFacet["live"]>();
    return {
      total: matcher.size(),
      found: () => this.#ordered(matcher.productIds(), matcher, question),
      counts: (facet) => kept(counts, facetName(facet), () => page.count(matcher, facet).live, known.length + 1),
      within: (field, range) => matcher.sizeWith(field, range),
    };
  }

  /** Whether the catalogue has a product of an id. */
  hasProduct(id: string): boolean {
    this.#ids ??= new Set(this.index.catalogue.productIds);
    return this.#ids.has(id);
  }

  /** Products in the order that a question wants. */
  #ordered(matched: Uint32Array, matcher: Matcher, { within, selection, sort, searching }: Question): Uint32Array {
    const { index } = this;
    if (sort === bestMatch)
      return byRelevance(matched, index.text.relevance(wordsIn(within, selection.text), searching));
    if (sort !== pickedOrder) return sortProducts(index, matched, sort, matcher.fits);
    return byPlace(index, matched, idsIn(within));
  }

  /** The cached page with these conditions. */
  page(within: readonly Clause[], searching?: readonly SearchedField[]): PageCounts {
    const name = pageKey({ within, searching });
    return kept(this.#pages, name, () => new PageCounts(this.index, within, searching), maxPages);
  }
}
