import { binEdges } from "../../core/catalogue/numbers/bins.ts";
import { rangesBetween, roundLimits } from "../../core/catalogue/numbers/price-ranges.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { starRanges } from "../../core/catalogue/numbers/stars.ts";
import type { RangeAnswer, SteadyFacet, WireFacet } from "../../core/engine/answer.ts";
import { histogramBins } from "../../core/engine/page-counts.ts";
import type { Facet } from "../../core/engine/question.ts";
import { fittingValues, matching, onColumn, type Scope, someVariant, variantConditions } from "./conditions.ts";
import type { Scopes } from "./scope.ts";
import { all, float } from "./sql.ts";
import { columnsOf } from "./stored-catalogue.ts";

/** A single reading of the products that meet a condition, for all who ask at once. */
interface Scan {
  columns: string[];
  rows: Promise<unknown[][]>;
}

/**
 * Counts, ends and histograms of facets over the rows of a store. Each aggregate is asked of every shard; counts of
 * distinct products add up.
 */
export class FacetCounts {
  readonly #scopes: Scopes;
  readonly #table: string;
  readonly #rows: <T extends readonly unknown[]>(sql: string) => Promise<T[]>;
  /** By their condition, scans that are about to be sent. */
  readonly #scans = new Map<string, Scan>();

  /**
   * @param table the rows
   * @param rows every shard’s rows of a query
   */
  constructor(scopes: Scopes, table: string, rows: <T extends readonly unknown[]>(sql: string) => Promise<T[]>) {
    this.#scopes = scopes;
    this.#table = table;
    this.#rows = rows;
  }

  /** Products of a scope. */
  async total(scope: Scope): Promise<number> {
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

  /** The part of a facet’s answer that does not change with the selection. */
  async steady(scope: Scope, facet: Facet): Promise<SteadyFacet> {
    const field = this.#scopes.field(facet.field);
    if (!field) throw new RangeError(`There is no field “${facet.field}” in this catalogue.`);
    const { options, numbers } = columnsOf(field.at);
    const range = facet.mode === "range";
    const stated = range ? numbers : options;
    const stating = onColumn(`notEmpty(${stated})`, stated, field.level === "variant");
    const head = { field: field.field, level: field.level };
    const reach = await this.total({ ...scope, conditions: [...scope.conditions, stating] });
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

  /** The live counts of a facet. @param steady its unchanging part */
  async live(facet: Facet, scope: Scope, steady: SteadyFacet): Promise<WireFacet> {
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
}

const everything: Scope = { conditions: [], each: [] };

const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);
