import { isNested } from "../../core/catalogue/field-kinds.ts";
import { binEdges } from "../../core/catalogue/numbers/bins.ts";
import { rangesBetween, roundLimits } from "../../core/catalogue/numbers/price-ranges.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { starRanges } from "../../core/catalogue/numbers/stars.ts";
import type { Answer, RangeAnswer, SteadyFacet, WireAnswer, WireFacet } from "../../core/engine/answer.ts";
import { type Product, productOf } from "../../core/engine/cards/product.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "../../core/engine/engine.ts";
import { kept } from "../../core/engine/index/kept.ts";
import type { Clause, Facet, Question } from "../../core/engine/question.ts";
import { relaxationsBy } from "../../core/engine/relaxations.ts";
import { without } from "../../core/engine/selection.ts";
import { bestMatch, pickedOrder, type SortKey, sortKeys } from "../../core/engine/sort-keys.ts";
import type { PageFacts } from "../../core/profile/value-pages.ts";
import { cardsOf, rowsOf } from "./cards.ts";
import { holds, type Scope, Scopes } from "./scope.ts";
import { type Shard, StoreFault } from "./shard.ts";
import { all, float, uint, uints } from "./sql.ts";
import { columnsOf, type StoredCatalogue, storedCatalogue, tablesOf } from "./stored-catalogue.ts";

const histogramBins = 20;
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

  private constructor(shards: readonly Shard[], stored: StoredCatalogue) {
    this.#shards = shards;
    this.#stored = stored;
    this.#table = tablesOf(stored.hash).rows;
    this.#scopes = new Scopes(stored);
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
    const { index } = await rowsOf(this.#shards, this.#table, this.#stored, numbers, "1");
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
    const { facets, selection, show, mends, searching, from, size } = question;
    const page = await this.#page(question);
    const known = facets.filter(({ field }) => this.#scopes.field(field));
    const scopeWithout = (field?: string) => this.#scopes.chosen(page.scope, selection, known, searching, field);
    const scope = scopeWithout();
    const [total, outOf, products, answers] = await Promise.all([
      this.#total(scope),
      page.outOf,
      size === 0 ? [] : this.#products(scope, question, from + size),
      Promise.all(
        known.map(async (facet): Promise<[string, WireFacet]> => {
          const steady = await this.#steady(page, facet);
          const own = await this.#live(facet, scopeWithout(facet.mode === "all" ? undefined : facet.field), steady);
          return [facet.field, has(facetName(facet)) ? own : { ...own, steady }];
        }),
      ),
    ]);
    const shown = products.slice(from, from + size);
    return {
      total,
      outOf,
      products: await cardsOf(this.#shards, this.#table, this.#stored, shown, all(scope.rows), show),
      facets: Object.fromEntries(answers),
      ...(mends && total === 0
        ? {
            takeBacks: await relaxationsBy(
              (parts) =>
                this.#total(this.#scopes.chosen(page.scope, parts.reduce(without, selection), known, searching)),
              known,
              selection,
            ),
          }
        : {}),
    };
  }

  /** Every shard’s rows of a query. */
  async #rows<T extends readonly unknown[]>(sql: string): Promise<T[]> {
    return (await Promise.all(this.#shards.map((shard) => shard.rows<T>(sql)))).flat();
  }

  async #page({ within, searching }: Pick<Question, "within" | "searching">): Promise<Page> {
    await this.#lookUp(within.flatMap((clause) => clause.flatMap((one) => ("products" in one ? one.products : []))));
    return kept(
      this.#pages,
      pageKey({ within, searching }),
      () => {
        const scope = this.#scopes.within(within, searching);
        return { scope, outOf: this.#total(scope), steady: new Map() };
      },
      maxPages,
    );
  }

  /** Finds out the numbers of products. */
  async #lookUp(ids: readonly string[]): Promise<void> {
    const unknown = this.#scopes.unknownIds(ids);
    if (unknown.length === 0) return;
    const sql = `SELECT id, product FROM ${this.#table} WHERE first = 1 AND id IN ids`;
    const found = await Promise.all(
      this.#shards.map((shard) => shard.rows<[string, number]>(sql, { name: "ids", type: "String", values: unknown })),
    );
    this.#scopes.know(unknown, new Map(found.flat()));
  }

  async #total(scope: Scope): Promise<number> {
    return sum(await this.#rows<[number]>(`SELECT count() FROM (${this.#matching(scope)})`));
  }

  /** A query for the products of a scope. */
  #matching({ rows, each }: Scope): string {
    const having = each.length === 0 ? "" : ` HAVING ${all(each.map((one) => `max(${one})`))}`;
    return `SELECT product FROM ${this.#table} WHERE ${all(rows)} GROUP BY product${having}`;
  }

  /** The rows of a scope’s products that meet its row conditions, as a condition. */
  #within(scope: Scope): string {
    if (scope.each.length === 0) return all(scope.rows);
    return `${all(scope.rows)} AND product IN (${this.#matching(scope)})`;
  }

  /** Products by each member of an array of a row: of options, ranges or bins. */
  async #countBy(members: string, scope: Scope, size: number, mode: "replaced" | "added"): Promise<number[]> {
    const { rows, each } = scope;
    // What is counted replaces the facet’s choice, so all-of choices of other facets must hold within its variants.
    const having = mode === "added" || each.length === 0 ? "" : ` HAVING ${all(each.map((one) => `max(${one})`))}`;
    const where = mode === "added" ? this.#within(scope) : all(rows);
    const counted = await this.#rows<[number, number]>(
      `SELECT m, count() FROM (SELECT product, m FROM ${this.#table} ARRAY JOIN ${members} AS m WHERE ${where} GROUP BY product, m${having}) GROUP BY m`,
    );
    const counts = new Array<number>(size).fill(0);
    for (const [member, count] of counted) counts[member] = (counts[member] ?? 0) + count;
    return counts;
  }

  #steady(page: Page, facet: Facet): Promise<SteadyFacet> {
    return kept(page.steady, facetName(facet), () => this.#countSteady(page.scope, facet), 600);
  }

  async #countSteady(scope: Scope, facet: Facet): Promise<SteadyFacet> {
    const field = this.#scopes.field(facet.field);
    if (!field) throw new RangeError(`There is no field “${facet.field}” in this catalogue.`);
    const { options, numbers } = columnsOf(field.at);
    const range = facet.mode === "range";
    const stating = { rows: [...scope.rows, `notEmpty(${range ? numbers : options})`], each: scope.each };
    const head = { field: field.field, level: field.level };
    const reach = await this.#total(stating);
    if (!range) {
      const own = this.#scopes.options(facet);
      const counts = await this.#countBy(own.ofRow, scope, own.options.length, "replaced");
      return { ...head, reach, options: [...own.options], ranges: [], counts };
    }
    const ranges = await this.#rangesOf(scope, facet, numbers);
    return {
      ...head,
      reach,
      options: [],
      ranges,
      counts: await this.#rangeCounts(scope, numbers, ranges),
      range: await this.#ends(scope, facet, numbers, undefined),
    };
  }

  async #live(facet: Facet, scope: Scope, steady: SteadyFacet): Promise<WireFacet> {
    if (facet.mode !== "range") {
      const { ofRow, options } = this.#scopes.options(facet);
      return { live: await this.#countBy(ofRow, scope, options.length, facet.mode === "all" ? "added" : "replaced") };
    }
    const { numbers } = columnsOf(this.#scopes.field(facet.field)?.at ?? 0);
    const [live, range] = await Promise.all([
      this.#rangeCounts(scope, numbers, steady.ranges),
      this.#ends(scope, facet, numbers, steady.range?.histogram?.edges ?? []),
    ]);
    return { live, range };
  }

  async #rangeCounts(scope: Scope, numbers: string, ranges: readonly Range[]): Promise<number[]> {
    if (ranges.length === 0) return [];
    const members = ranges.map((range, at) => `if(arrayExists(x -> ${holds(range)}, ${numbers}), ${at}, -1)`);
    return this.#countBy(`arrayFilter(b -> b >= 0, [${members.join(", ")}])`, scope, ranges.length, "replaced");
  }

  /** @param edges of the bins; computed if absent, no bins if there are none */
  async #ends(scope: Scope, facet: Facet, numbers: string, edges: readonly number[] | undefined): Promise<RangeAnswer> {
    const rows = await this.#rows<[number, number, number]>(
      `SELECT min(arrayReduce('min', ${numbers})), max(arrayReduce('max', ${numbers})), count() FROM ${this.#table} WHERE ${this.#within(scope)} AND notEmpty(${numbers})`,
    );
    const there = rows.filter(([, , count]) => count > 0);
    if (there.length === 0) return { min: null, max: null, histogram: null };
    const [min, max] = [Math.min(...there.map(([low]) => low)), Math.max(...there.map(([, high]) => high))];
    if (edges?.length === 0) return { min, max, histogram: null };
    const own = edges ?? binEdges(min, max, histogramBins, facet.bent);
    const bins = Math.max(1, own.length - 1);
    const list = `[${own.slice(1, -1).map(float).join(", ")}]`;
    const bin = own.length < 3 ? `0` : `arrayCount(e -> e <= x, ${list})`;
    const matching = { rows: [this.#within(scope)], each: [] };
    const counts = await this.#countBy(`arrayDistinct(arrayMap(x -> ${bin}, ${numbers}))`, matching, bins, "replaced");
    return { min, max, histogram: { edges: [...own], counts } };
  }

  /** The ranges in which a facet is counted, over the page if they follow a rule. */
  async #rangesOf(scope: Scope, { ranges }: Facet, numbers: string): Promise<Range[]> {
    if (!ranges) return [];
    if ("from" in ranges) return ranges.from.map((min) => ({ min }));
    if ("limits" in ranges) return rangesBetween([...new Set(ranges.limits)].sort((a, b) => a - b));
    if (ranges.by === "stars") {
      const best = await this.#rows<[number]>(
        `SELECT max(arrayReduce('max', ${numbers})) FROM ${this.#table} WHERE notEmpty(${numbers}) HAVING count() > 0`,
      );
      return starRanges(best.map(([one]) => one));
    }
    const lowest = ranges.by !== "width";
    const inner = lowest
      ? `SELECT product, min(arrayReduce('min', ${numbers})) AS v FROM ${this.#table} WHERE ${this.#within(scope)} AND notEmpty(${numbers}) GROUP BY product`
      : `SELECT x AS v FROM ${this.#table} ARRAY JOIN ${numbers} AS x WHERE ${this.#within(scope)}`;
    const found = await this.#rows<[number, number]>(`SELECT v, count() FROM (${inner}) GROUP BY v`);
    const values = Float64Array.from(found.flatMap(([value, count]) => new Array<number>(count).fill(value))).sort();
    return rangesBetween(roundLimits(values, ranges.parts, lowest ? "products" : "width"));
  }

  /** The numbers of the first products of a scope, in a question’s order. */
  async #products(scope: Scope, { sort, within, selection, searching }: Question, size: number): Promise<number[]> {
    const keys = await this.#keys(sort, within, selection.text, searching);
    const chosen = keys.map(({ sql, there }, at) => `${there} AS h${at}, ${sql} AS k${at}`);
    const order = keys.map(({ down }, at) => `h${at} DESC, k${at} ${down ? "DESC" : "ASC"}`);
    const rows = await this.#rows<number[]>(
      `SELECT ${["product", ...chosen].join(", ")} FROM ${this.#table} WHERE ${this.#within(scope)} GROUP BY product ORDER BY ${[...order, "product"].join(", ")} LIMIT ${uint(size)}`,
    );
    return rows
      .sort((a, b) => {
        for (let at = 0; at < keys.length; at++) {
          const [hasA = 0, hasB = 0, x = 0, y = 0] = [a[1 + 2 * at], b[1 + 2 * at], a[2 + 2 * at], b[2 + 2 * at]];
          const difference = hasB - hasA || (hasA === 0 ? 0 : (x - y) * (keys[at]?.down ? -1 : 1));
          if (difference !== 0) return difference;
        }
        return (a[0] ?? 0) - (b[0] ?? 0);
      })
      .slice(0, size)
      .map(([product]) => product ?? 0);
  }

  /** An order as expressions over the rows of a product. */
  async #keys(
    sort: string,
    within: readonly Clause[],
    text: string,
    searching: Question["searching"],
  ): Promise<{ sql: string; there: string; down: boolean }[]> {
    if (sort === bestMatch) {
      const asked = [...within.flatMap((clause) => clause.flatMap((one) => ("words" in one ? one.words : []))), text];
      const sql = `any(${this.#scopes.relevance(asked.join(" ").trim(), searching)})`;
      return [{ sql, there: "1", down: true }];
    }
    if (sort === pickedOrder) {
      const ids = within.flatMap((clause) => clause.flatMap((one) => ("products" in one ? one.products : [])));
      // Of an id that is listed twice, the last place counts.
      const picked = `arrayReverse(${uints(this.#scopes.numbersOf(ids))})`;
      return [{ sql: `indexOf(${picked}, any(product))`, there: `has(${picked}, any(product))`, down: true }];
    }
    return sortKeys(sort, (field) => this.#scopes.field(field) !== undefined).map(({ field, down }: SortKey) => {
      const { places } = columnsOf(this.#scopes.field(field)?.at ?? 0);
      const one = down ? "max" : "min";
      return {
        sql: `${one}If(arrayReduce('${one}', ${places}), notEmpty(${places}))`,
        there: `max(notEmpty(${places}))`,
        down,
      };
    });
  }
}

const sum = (rows: readonly (readonly [number])[]): number => rows.reduce((total, [one]) => total + one, 0);
