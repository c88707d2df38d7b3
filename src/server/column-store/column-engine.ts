import { isNested } from "../../core/catalogue/field-kinds.ts";
import { binEdges } from "../../core/catalogue/numbers/bins.ts";
import { rangesBetween, roundLimits } from "../../core/catalogue/numbers/price-ranges.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { starRanges } from "../../core/catalogue/numbers/stars.ts";
import type { Answer, RangeAnswer, SteadyFacet, WireAnswer, WireFacet } from "../../core/engine/answer.ts";
import { type Product, productOf } from "../../core/engine/cards/product.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "../../core/engine/engine.ts";
import { kept } from "../../core/engine/index/kept.ts";
import { maxSimilar, similarQueries } from "../../core/engine/index/similar-queries.ts";
import { idsIn, wordsIn } from "../../core/engine/local-engine.ts";
import { histogramBins } from "../../core/engine/page-counts.ts";
import type { Facet, Question } from "../../core/engine/question.ts";
import { relaxationsBy } from "../../core/engine/relaxations.ts";
import { without } from "../../core/engine/selection.ts";
import type { PageFacts } from "../../core/profile/value-pages.ts";
import { cardsOf, rowsOf } from "./cards.ts";
import {
  fitting,
  fittingValues,
  matching,
  onColumn,
  type Scope,
  someVariant,
  variantConditions,
} from "./conditions.ts";
import { mergedOrder, orderKeys, orderSql } from "./product-order.ts";
import { Scopes } from "./scope.ts";
import { type Shard, StoreFault } from "./shard.ts";
import { all, float, uint } from "./sql.ts";
import { columnsOf, type StoredCatalogue, storedCatalogue, tablesOf } from "./stored-catalogue.ts";

const maxPages = 40;

/** A page as far as it does not depend on a selection. */
interface Page {
  scope: Scope;
  outOf: Promise<number>;
  steady: Map<string, Promise<SteadyFacet>>;
}

/** A single reading of the products that meet a condition, for all who ask at once. */
interface Scan {
  columns: string[];
  rows: Promise<unknown[][]>;
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
  /** By their condition, scans that are about to be sent. */
  readonly #scans = new Map<string, Scan>();

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
      this.#total(scope),
      page.outOf,
      size === 0 ? [] : this.#products(scope, question, from + size),
      Promise.all(
        known.map(async (facet): Promise<[string, WireFacet]> => {
          const steady = await this.#steady(page, facet);
          const own = nothing
            ? liveOf(steady)
            : await this.#live(facet, scopeWithout(facet.mode === "all" ? undefined : facet.field), steady);
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
                this.#total(this.#scopes.chosen(page.scope, parts.reduce(without, selection), known, searching)),
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
      tried.map((text) => this.#total(this.#scopes.within([[{ words: text }]], searching))),
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
        return { scope, outOf: this.#total(scope), steady: new Map() };
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

  async #total(scope: Scope): Promise<number> {
    return sum(await this.#aggregate<number>("count()", scope));
  }

  /** Products by each member of a list of a row, which has no repeats: of options, ranges or bins. */
  async #countBy(members: string, scope: Scope, size: number): Promise<number[]> {
    const counted = await this.#aggregate<[number[], number[]]>(
      `sumMap(${members}, arrayMap(z -> toUInt64(1), ${members}))`,
      scope,
    );
    const counts = new Array<number>(size).fill(0);
    for (const [own, found] of counted)
      own.forEach((member, place) => {
        counts[member] = (counts[member] ?? 0) + (found[place] ?? 0);
      });
    return counts;
  }

  /** An aggregate over a scope's products, of each shard. What is asked of one scope at once takes a single scan. */
  async #aggregate<T>(sql: string, scope: Scope): Promise<T[]> {
    const where = matching(scope);
    const scan = this.#scans.get(where) ?? this.#newScan(where);
    const known = scan.columns.indexOf(sql);
    const place = known < 0 ? scan.columns.push(sql) - 1 : known;
    return (await scan.rows).map((row) => row[place] as T);
  }

  #newScan(where: string): Scan {
    const columns: string[] = [];
    const rows = new Promise((asked) => setImmediate(asked)).then(() => {
      this.#scans.delete(where);
      return this.#rows<unknown[]>(`SELECT ${columns.join(", ")} FROM ${this.#table} WHERE ${where}`);
    });
    const scan = { columns, rows };
    this.#scans.set(where, scan);
    return scan;
  }

  /** Products by each option that a product would be found by. @param mode whether options replace a choice or are added */
  #optionCounts(facet: Facet, scope: Scope, mode: "replaced" | "added"): Promise<number[]> {
    const { column, varies, from, options } = this.#scopes.options(facet);
    const members = from(fittingValues(scope, column, varies));
    if (!varies || mode === "added" || scope.each.length === 0) return this.#countBy(members, scope, options.length);
    // All-of choices of other facets must hold within the variants that have the option.
    const has = onColumn(`has(${from(column)}, m)`, column, true);
    const together = variantConditions(scope);
    const holding = all(scope.each.map((one) => someVariant([...together, one, has])));
    return this.#countBy(`arrayFilter(m -> ${holding}, ${members})`, scope, options.length);
  }

  #steady(page: Page, facet: Facet): Promise<SteadyFacet> {
    return kept(page.steady, facetName(facet), () => this.#countSteady(page.scope, facet), 600);
  }

  async #countSteady(scope: Scope, facet: Facet): Promise<SteadyFacet> {
    const field = this.#scopes.field(facet.field);
    if (!field) throw new RangeError(`There is no field “${facet.field}” in this catalogue.`);
    const { options, numbers } = columnsOf(field.at);
    const range = facet.mode === "range";
    const stated = range ? numbers : options;
    const stating = onColumn(`notEmpty(${stated})`, stated, field.level === "variant");
    const head = { field: field.field, level: field.level };
    const reach = await this.#total({ ...scope, conditions: [...scope.conditions, stating] });
    if (!range) {
      const { options: known } = this.#scopes.options(facet);
      return {
        ...head,
        reach,
        options: [...known],
        ranges: [],
        counts: await this.#optionCounts(facet, scope, "replaced"),
      };
    }
    const ranges = await this.#rangesOf(scope, facet);
    return {
      ...head,
      reach,
      options: [],
      ranges,
      counts: await this.#rangeCounts(scope, facet, ranges),
      range: await this.#ends(scope, facet, undefined),
    };
  }

  async #live(facet: Facet, scope: Scope, steady: SteadyFacet): Promise<WireFacet> {
    if (facet.mode !== "range")
      return { live: await this.#optionCounts(facet, scope, facet.mode === "all" ? "added" : "replaced") };
    const [live, range] = await Promise.all([
      this.#rangeCounts(scope, facet, steady.ranges),
      this.#ends(scope, facet, steady.range?.histogram?.edges ?? []),
    ]);
    return { live, range };
  }

  async #rangeCounts(scope: Scope, { field }: Facet, ranges: readonly Range[]): Promise<number[]> {
    if (ranges.length === 0) return [];
    const together = variantConditions(scope);
    const members = ranges.map((range, at) => {
      const within = this.#scopes.inRange(field, range);
      const varies = within.columns.length > 0;
      // All-of choices of other facets must hold within the variants in the range.
      const holding =
        varies && scope.each.length > 0
          ? all(scope.each.map((one) => someVariant([...together, one, within])))
          : someVariant(varies ? [...together, within] : [within]);
      return `if(${holding}, ${at}, -1)`;
    });
    return this.#countBy(`arrayFilter(b -> b >= 0, [${members.join(", ")}])`, scope, ranges.length);
  }

  /** A range facet's values of a product's fitting variants, as an expression. */
  #values(scope: Scope, { field: key }: Facet): string {
    const field = this.#scopes.field(key);
    return field ? fittingValues(scope, columnsOf(field.at).numbers, field.level === "variant") : "emptyArrayFloat64()";
  }

  /** @param edges of the bins; computed if absent, no bins if there are none */
  async #ends(scope: Scope, facet: Facet, edges: readonly number[] | undefined): Promise<RangeAnswer> {
    const values = this.#values(scope, facet);
    const bins = (own: readonly number[]) => {
      const list = `[${own.slice(1, -1).map(float).join(", ")}]`;
      const bin = own.length < 3 ? "toUInt32(0)" : `arrayCount(e -> e <= x, ${list})`;
      return this.#countBy(`arrayDistinct(arrayMap(x -> ${bin}, ${values}))`, scope, Math.max(1, own.length - 1));
    };
    const [ends, counted] = await Promise.all([
      this.#endsOf(values, scope),
      edges && edges.length > 0 ? bins(edges) : undefined,
    ]);
    if (!ends) return { min: null, max: null, histogram: null };
    const [min, max] = ends;
    if (edges?.length === 0) return { min, max, histogram: null };
    const own = edges ?? binEdges(min, max, histogramBins, facet.bent);
    return { min, max, histogram: { edges: [...own], counts: counted ?? (await bins(own)) } };
  }

  /** The smallest and largest of some values; undefined if there are none. */
  async #endsOf(values: string, scope: Scope): Promise<[min: number, max: number] | undefined> {
    const there = `notEmpty(${values})`;
    const [lows, highs, counts] = await Promise.all([
      this.#aggregate<number>(`minIf(arrayReduce('min', ${values}), ${there})`, scope),
      this.#aggregate<number>(`maxIf(arrayReduce('max', ${values}), ${there})`, scope),
      this.#aggregate<number>(`countIf(${there})`, scope),
    ]);
    const some = (ends: readonly number[]) => ends.filter((_, shard) => (counts[shard] ?? 0) > 0);
    return sum(counts) === 0 ? undefined : [Math.min(...some(lows)), Math.max(...some(highs))];
  }

  /** The ranges in which a facet is counted, over the page if they follow a rule. */
  async #rangesOf(scope: Scope, facet: Facet): Promise<Range[]> {
    const { ranges } = facet;
    if (!ranges) return [];
    if ("from" in ranges) return ranges.from.map((min) => ({ min }));
    if ("limits" in ranges) return rangesBetween([...new Set(ranges.limits)].sort((a, b) => a - b));
    const best = ranges.by === "stars";
    const values = this.#values(best ? everything : scope, facet);
    if (best || ranges.by === "width") {
      const ends = (await this.#endsOf(values, best ? everything : scope)) ?? [];
      return best ? starRanges(ends) : rangesBetween(roundLimits(ends, ranges.parts, "width"));
    }
    const found = await this.#rows<[number, number]>(
      `SELECT arrayReduce('min', ${values}) AS low, count() FROM ${this.#table} WHERE ${matching(scope)} AND notEmpty(${values}) GROUP BY low`,
    );
    const lowest = Float64Array.from(found.flatMap(([value, count]) => new Array<number>(count).fill(value))).sort();
    return rangesBetween(roundLimits(lowest, ranges.parts, "products"));
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

const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);
