import { isNested } from "../../core/catalogue/field-kinds.ts";
import type { Answer, SteadyFacet, WireAnswer, WireFacet } from "../../core/engine/answer.ts";
import { type Product, productOf } from "../../core/engine/cards/product.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "../../core/engine/engine.ts";
import { kept } from "../../core/engine/index/kept.ts";
import { maxSimilar, similarQueries } from "../../core/engine/index/similar-queries.ts";
import { idsIn, wordsIn } from "../../core/engine/local-engine.ts";
import type { Facet, Question } from "../../core/engine/question.ts";
import { relaxationsBy } from "../../core/engine/relaxations.ts";
import { without } from "../../core/engine/selection.ts";
import type { PageFacts } from "../../core/profile/value-pages.ts";
import { cardsOf, rowsOf } from "./cards.ts";
import { fitting, matching, type Scope } from "./conditions.ts";
import { FacetCounts } from "./facet-counts.ts";
import { mergedOrder, orderKeys, orderSql } from "./product-order.ts";
import { Scopes } from "./scope.ts";
import { type Shard, StoreFault } from "./shard.ts";
import { uint } from "./sql.ts";
import { type StoredCatalogue, storedCatalogue, tablesOf } from "./stored-catalogue.ts";

const maxPages = 40;

/** A page as far as it does not depend on a selection. */
interface Page {
  scope: Scope;
  outOf: Promise<number>;
  steady: Map<string, Promise<SteadyFacet>>;
}

/**
 * The engine over a column store: it asks every shard, and adds up what they answer. Since a product is on one shard,
 * distinct products add up. Where a shard doesn’t answer, there is an error and never a smaller number.
 */
export class ColumnEngine implements Engine {
  readonly #shards: readonly Shard[];
  readonly #stored: StoredCatalogue;
  readonly #table: string;
  readonly #scopes: Scopes;
  readonly #pages = new Map<string, Page>();
  readonly #counts: FacetCounts;

  private constructor(shards: readonly Shard[], stored: StoredCatalogue) {
    this.#shards = shards;
    this.#stored = stored;
    this.#table = tablesOf(stored.hash).rows;
    this.#scopes = new Scopes(stored);
    this.#counts = new FacetCounts(this.#scopes, this.#table, (sql) => this.#rows(sql));
  }

  /** Opens a loaded catalogue. @throws StoreFault if a shard lacks it, or has half of it */
  static async open(shards: readonly Shard[], hash: string): Promise<ColumnEngine> {
    const { about } = tablesOf(hash);
    const found = await Promise.all(
      shards.map(async (shard, at) => {
        const [row] = await shard.rows<[string]>(`SELECT text FROM ${about}`);
        if (!row) throw new StoreFault(`The store at ${shard.name} has only a part of this edition. Load it again.`);
        let stored: StoredCatalogue;
        try {
          stored = storedCatalogue.validateSync(JSON.parse(row[0]));
        } catch {
          throw new StoreFault(`The store at ${shard.name} has this edition in a different format. Load it again.`);
        }
        if (stored.shards !== shards.length || stored.shard !== at)
          throw new StoreFault(
            `The store at ${shard.name} is number ${stored.shard + 1} of ${stored.shards} for this edition. Name all of them in that order.`,
          );
        return stored;
      }),
    );
    const [first] = found;
    if (!first) throw new StoreFault("Name at least one store.");
    return new ColumnEngine(shards, first);
  }

  /** The data for a shop's pages. */
  pageFacts(): PageFacts {
    return {
      fields: this.#stored.fields.map(({ field }) => field),
      optionsOf: (key) => {
        const field = this.#scopes.field(key)?.field;
        return field ? this.#scopes.options({ field: key, mode: isNested(field) ? "tree" : "any" }).options : [];
      },
    };
  }

  /** A product by its id; undefined if there is none. */
  async product(id: string): Promise<Product | undefined> {
    await this.#lookUp([id]);
    const numbers = this.#scopes.numbersOf([id]);
    if (numbers.length === 0) return undefined;
    const { index } = await rowsOf(this.#shards, this.#table, this.#stored, numbers, fitting(everything, "raw"));
    return productOf(index, id);
  }

  async ask(question: Question): Promise<Answer> {
    const page = await this.#page(question);
    const wire = await this.answer(question);
    const known = question.facets.filter(({ field }) => this.#scopes.field(field));
    const steady = new Map(
      await Promise.all(known.map(async (facet) => [facetName(facet), await this.#steady(page, facet)] as const)),
    );
    return completeAnswer(wire, question, (facet) => steady.get(facetName(facet)));
  }

  /** The answer as sent. @param has whether the caller already has the unchanging part of a facet; default: yes */
  async answer(question: Question, has: (name: string) => boolean = () => true): Promise<WireAnswer> {
    const { within, facets, selection, show, mends, searching, from, size } = question;
    const page = await this.#page(question);
    const known = facets.filter(({ field }) => this.#scopes.field(field));
    const scopeWithout = (field?: string) => this.#scopes.chosen(page.scope, selection, known, searching, field);
    const scope = scopeWithout();
    const nothing = selection.text.trim() === "" && known.every(({ field }) => selection.choices[field] === undefined);
    const [total, outOf, products, answers] = await Promise.all([
      this.#counts.total(scope),
      page.outOf,
      size === 0 ? [] : this.#products(scope, question, from + size),
      Promise.all(
        known.map(async (facet): Promise<[string, WireFacet]> => {
          const steady = await this.#steady(page, facet);
          const own = nothing
            ? liveOf(steady)
            : await this.#counts.live(facet, scopeWithout(facet.mode === "all" ? undefined : facet.field), steady);
          return [facet.field, has(facetName(facet)) ? own : { ...own, steady }];
        }),
      ),
    ]);
    const shown = products.slice(from, from + size);
    return {
      total,
      outOf,
      products: await cardsOf(this.#shards, this.#table, this.#stored, shown, fitting(scope, "raw"), show),
      facets: Object.fromEntries(answers),
      ...(mends && total === 0
        ? {
            takeBacks: await relaxationsBy(
              (parts) =>
                this.#counts.total(this.#scopes.chosen(page.scope, parts.reduce(without, selection), known, searching)),
              known,
              selection,
            ),
            near: await this.#near(wordsIn(within, selection.text), searching),
          }
        : {}),
    };
  }

  /** Similar queries for one that finds nothing; each finds something in the whole catalogue. */
  async #near(query: string, searching: Question["searching"]): Promise<string[]> {
    const tried = similarQueries(query, this.#scopes.vocabularies(searching));
    const totals = await Promise.all(
      tried.map((text) => this.#counts.total(this.#scopes.within([[{ words: text }]], searching))),
    );
    return tried.filter((_, at) => (totals[at] ?? 0) > 0).slice(0, maxSimilar);
  }

  /** Every shard’s rows of a query. */
  async #rows<T extends readonly unknown[]>(sql: string): Promise<T[]> {
    return (await Promise.all(this.#shards.map((shard) => shard.rows<T>(sql)))).flat();
  }

  async #page({ within, searching }: Pick<Question, "within" | "searching">): Promise<Page> {
    await this.#lookUp(idsIn(within));
    return kept(
      this.#pages,
      pageKey({ within, searching }),
      () => {
        const scope = this.#scopes.within(within, searching);
        return { scope, outOf: this.#counts.total(scope), steady: new Map() };
      },
      maxPages,
    );
  }

  /** Finds out the numbers of products. */
  async #lookUp(ids: readonly string[]): Promise<void> {
    const unknown = this.#scopes.unknownIds(ids);
    if (unknown.length === 0) return;
    const sql = `SELECT id, product FROM ${this.#table} WHERE id IN ids`;
    const found = await Promise.all(
      this.#shards.map((shard) => shard.rows<[string, number]>(sql, { name: "ids", values: unknown })),
    );
    this.#scopes.know(new Map(found.flat()));
  }

  #steady(page: Page, facet: Facet): Promise<SteadyFacet> {
    return kept(page.steady, facetName(facet), () => this.#counts.steady(page.scope, facet), 600);
  }

  /** The numbers of the first products of a scope, in a question’s order. */
  async #products(scope: Scope, question: Question, size: number): Promise<number[]> {
    const keys = orderKeys(this.#scopes, scope, question);
    const { columns, by } = orderSql(keys);
    const rows = await this.#rows<number[]>(
      `SELECT ${columns} FROM ${this.#table} WHERE ${matching(scope)} ORDER BY ${by} LIMIT ${uint(size)}`,
    );
    return mergedOrder(rows, keys).slice(0, size);
  }
}

const everything: Scope = { conditions: [], each: [] };

/** Without a selection, the live counts are the steady ones. */
const liveOf = ({ counts, range }: SteadyFacet): WireFacet => ({ live: counts, ...(range ? { range } : {}) });
