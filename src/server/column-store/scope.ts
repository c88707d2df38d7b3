import { createHash } from "node:crypto";
import { isNested } from "../../core/catalogue/field-kinds.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { codeOptions, type OptionCodes } from "../../core/engine/index/facet-index.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import { weightOf } from "../../core/engine/index/text-index.ts";
import { words } from "../../core/engine/index/words.ts";
import type { Choice, Clause, Facet, Selection } from "../../core/engine/question.ts";
import { optionsOf, rangeOf } from "../../core/engine/selection.ts";
import { all as allOf, any, float, uints, word } from "./sql.ts";
import { columnsOf, hasLevels, type StoredCatalogue, type StoredField } from "./stored-catalogue.ts";

/**
 * A condition: of a product, or of a variant where it reads columns that vary. There each of them stands for the list of
 * one variant.
 */
export interface Condition {
  sql: string;
  /** The columns that vary among those that it reads. */
  columns: readonly Varying[];
}

/** A list of one value for each variant, by the name that conditions read it by. */
interface Varying {
  name: string;
  sql: string;
}

const varying = (column: string): Varying => ({ name: column, sql: column });

/**
 * What a match asks of a product: all conditions, those of variants on one and the same variant; and each of `each`
 * together with these, on whichever variant.
 */
export interface Scope {
  conditions: readonly Condition[];
  each: readonly Condition[];
}

const ofProduct = (sql: string): Condition => ({ sql, columns: [] });
const never = ofProduct("0");

const columnsIn = (conditions: readonly Condition[]): Varying[] => [
  ...new Map(conditions.flatMap(({ columns }) => columns.map((one) => [one.name, one] as const))).values(),
];

/** Applies a function to conditions on each variant. */
function onVariants(
  name: "arrayExists" | "arrayMap" | "arrayFilter",
  conditions: readonly Condition[],
  first?: string,
): string {
  const columns = columnsIn(conditions).filter((one) => one.name !== first);
  const all = first === undefined ? columns : [varying(first), ...columns];
  const sql = allOf(conditions.map((one) => one.sql));
  return `${name}((${all.map((one) => one.name).join(", ")}) -> ${sql}, ${all.map((one) => one.sql).join(", ")})`;
}

/** A condition for products with a variant that meets some conditions at once. */
export const someVariant = (conditions: readonly Condition[]): string =>
  columnsIn(conditions).length === 0 ? allOf(conditions.map(({ sql }) => sql)) : onVariants("arrayExists", conditions);

/** The conditions of a scope that a single variant must meet. */
export const variantConditions = ({ conditions }: Scope): Condition[] =>
  conditions.filter(({ columns }) => columns.length > 0);

/** A condition for the products of a scope. */
export function matching(scope: Scope): string {
  const together = variantConditions(scope);
  return allOf([
    ...scope.conditions.filter(({ columns }) => columns.length === 0).map(({ sql }) => sql),
    ...(together.length > 0 ? [someVariant(together)] : []),
    ...scope.each.map((one) => someVariant([...together, one])),
  ]);
}

/** For each variant of a product whether it meets a scope's conditions, as an expression. @param column any list of variants */
export function fitting(scope: Scope, column: string): string {
  const together = variantConditions(scope);
  return together.length === 0 ? `arrayMap(x -> 1, ${column})` : onVariants("arrayMap", together);
}

/** The values in a column of a product's variants that meet a scope's conditions, without repeats, as an expression. */
export function fittingValues(scope: Scope, column: string, varies: boolean): string {
  if (!varies) return column;
  const together = variantConditions(scope);
  return `arrayReduce('groupUniqArrayArray', ${together.length === 0 ? column : onVariants("arrayFilter", together, column)})`;
}

/**
 * A condition for variants that meet one of some conditions. Those of products are read from a list as well: functions
 * inside a statement can't read a product's own columns in version 18.16.
 * @param list any list of variants
 */
function anyOfVariant(some: readonly Condition[], list: string): Condition {
  const sqls: string[] = [];
  const columns = [...columnsIn(some)];
  for (const { sql, columns: own } of some) {
    if (own.length > 0) sqls.push(sql);
    else {
      const name = `c${createHash("sha256").update(sql).digest("hex").slice(0, 16)}`;
      sqls.push(name);
      columns.push({ name, sql: `arrayResize([toUInt8(${sql})], length(${list}), toUInt8(${sql}))` });
    }
  }
  return { sql: any(sqls), columns };
}

/** A condition on one column, which may vary. */
export const onColumn = (sql: string, column: string, varies: boolean): Condition => ({
  sql,
  columns: varies ? [varying(column)] : [],
});

/** Largest number of ids whose numbers are kept. */
const maxIds = 100_000;

/** No option of a mapping. */
const none = 0xffff_ffff;

/** The options of a facet in the store: what they are, and where the rows have them. */
export interface StoredOptions extends Pick<OptionCodes, "options" | "at"> {
  /** The column that they are made of. */
  column: string;
  /** Whether it varies. */
  varies: boolean;
  /** An expression for the options in a list of stored ones. */
  from(list: string): string;
  /** A condition for one of some options. */
  has(options: readonly number[]): Condition;
}

/** Translates conditions and choices into conditions on the rows. */
export class Scopes {
  readonly #fields: ReadonlyMap<string, StoredField & { at: number }>;
  readonly #options = new Map<string, StoredOptions>();
  /** Product numbers by id, as far as they were looked up. */
  readonly #numbers = new Map<string, number>();

  constructor({ fields }: StoredCatalogue) {
    this.#fields = new Map(fields.map((one, at) => [one.field.key, { ...one, at }]));
  }

  field(key: string): (StoredField & { at: number }) | undefined {
    return this.#fields.get(key);
  }

  /** Ids whose numbers are still unknown. */
  unknownIds(ids: readonly string[]): string[] {
    return [...new Set(ids)].filter((id) => !this.#numbers.has(id));
  }

  /** Adds product numbers; ids without one are no products. */
  know(ids: readonly string[], found: ReadonlyMap<string, number>): void {
    // Anybody can ask for any id, so only so many are kept.
    if (this.#numbers.size > maxIds) this.#numbers.clear();
    for (const id of ids) this.#numbers.set(id, found.get(id) ?? none);
  }

  /** The known product numbers of some ids, in their order. */
  numbersOf(ids: readonly string[]): number[] {
    return ids.map((id) => this.#numbers.get(id) ?? none).filter((one) => one !== none);
  }

  /** The options of a facet; the field must be there. */
  options({ field: key, mode, merges = [] }: Pick<Facet, "field" | "mode" | "merges">): StoredOptions {
    const tree = mode === "tree";
    const name = JSON.stringify([key, tree, merges]);
    const known = this.#options.get(name);
    if (known) return known;
    const field = this.#fields.get(key);
    if (!field) throw new RangeError(`There is no field “${key}” in this catalogue.`);
    const { spellings, uses, at, level } = field;
    const { options: plain, tree: levels } = columnsOf(at);
    const coded = codeOptions(spellings, uses, tree, merges);
    const column = merges.length === 0 && tree && hasLevels(spellings) ? levels : plain;
    const varies = level === "variant";
    const columns = varies ? [varying(column)] : [];
    const { codesOf, from } =
      merges.length === 0
        ? { codesOf: (options: readonly number[]) => options, from: (list: string) => list }
        : mapped(codeOptions(spellings, uses, false).optionsOfCode, coded.optionsOfCode);
    const has = (options: readonly number[]): Condition => {
      const codes = codesOf(options);
      return codes.length === 0 ? never : { sql: `hasAny(${column}, ${uints(codes)})`, columns };
    };
    const made = { options: coded.options, at: coded.at, column, varies, from, has };
    this.#options.set(name, made);
    return made;
  }

  /** The page’s conditions. */
  within(clauses: readonly Clause[], searching?: readonly SearchedField[]): Scope {
    const conditions = clauses.map((clause): Condition => {
      const some = clause.map((one) => this.#condition(one, searching));
      const [list] = columnsIn(some);
      return list ? anyOfVariant(some, list.sql) : ofProduct(any(some.map(({ sql }) => sql)));
    });
    return { conditions, each: [] };
  }

  /** A scope narrowed by a selection. @param without a field whose choice is ignored */
  chosen(
    page: Scope,
    { text, choices }: Selection,
    facets: readonly Facet[],
    searching: readonly SearchedField[] | undefined,
    without?: string,
  ): Scope {
    const scope = { conditions: [...page.conditions], each: [...page.each] };
    const found = this.#search(text, searching);
    if (found !== undefined) scope.conditions.push(ofProduct(found));
    for (const facet of facets) {
      const choice = choices[facet.field];
      if (!choice || facet.field === without) continue;
      const { conditions, each } = this.#choice(facet, choice);
      scope.conditions.push(...conditions);
      scope.each.push(...each);
    }
    return scope;
  }

  /** A condition for a number within a range. */
  inRange(key: string, range: Range): Condition {
    const field = this.#fields.get(key);
    if (!field) return never;
    const { numbers } = columnsOf(field.at);
    return onColumn(`arrayExists(x -> ${holds(range)}, ${numbers})`, numbers, field.level === "variant");
  }

  #choice(facet: Facet, choice: Choice): Scope {
    if (facet.mode === "range") return { conditions: [this.inRange(facet.field, rangeOf(choice))], each: [] };
    const { at, has, varies } = this.options(facet);
    // An option that the catalogue no longer contains finds nothing.
    const chosen = optionsOf(choice).map((id) => at.get(id));
    const one = (option: number | undefined) => (option === undefined ? never : has([option]));
    if (facet.mode !== "all") return { conditions: [has(chosen.flatMap((option) => option ?? []))], each: [] };
    if (varies) return { conditions: [], each: chosen.map(one) };
    return { conditions: chosen.length === 0 ? [never] : chosen.map(one), each: [] };
  }

  #condition(condition: Clause[number], searching: readonly SearchedField[] | undefined): Condition {
    if ("words" in condition) return ofProduct(this.#search(condition.words, searching) ?? "1");
    if ("products" in condition) {
      const numbers = this.numbersOf(condition.products);
      return numbers.length === 0 ? never : ofProduct(`has(${uints(numbers)}, product)`);
    }
    const field = this.#fields.get(condition.field);
    if (!field) return never;
    if (!("options" in condition)) return this.inRange(condition.field, condition);
    const { at, has } = this.options({ field: condition.field, mode: isNested(field.field) ? "tree" : "any" });
    return has(condition.options.flatMap((id) => at.get(id) ?? []));
  }

  /** A condition for the products of a search; undefined for no words. */
  #search(text: string, searching: readonly SearchedField[] | undefined): string | undefined {
    const asked = words(text);
    if (asked.length === 0) return undefined;
    const columns = this.searched(searching).map(({ column }) => column);
    return allOf(asked.map((own, i) => any(columns.map((column) => hasWord(column, own, i === asked.length - 1)))));
  }

  /** The columns of words that a search reads, with their weights. */
  searched(searching: readonly SearchedField[] | undefined): { column: string; weight: number }[] {
    return [...this.#fields.values()].flatMap(({ field, at, spellings }) => {
      const weight = spellings.length === 0 ? 0 : weightOf(field, searching);
      return weight > 0 ? [{ column: columnsOf(at).words, weight }] : [];
    });
  }

  /** An expression for the relevance of a product to search words. */
  relevance(text: string, searching: readonly SearchedField[] | undefined): string {
    const asked = words(text);
    const best = asked.map((own, i) => {
      const worth = this.searched(searching).map(({ column, weight }) => {
        const exact = `if(${hasWord(column, own, false)}, ${float(weight)}, 0.)`;
        if (i < asked.length - 1) return exact;
        return `greatest(${exact}, if(${hasWord(column, own, true)}, ${float(weight * prefixShare)}, 0.))`;
      });
      return worth.reduce((a, b) => `greatest(${a}, ${b})`, "0.");
    });
    return best.length === 0 ? "0." : best.join(" + ");
  }
}

/** As in the text index of our own engine. */
const prefixShare = 0.75;

const hasWord = (column: string, own: string, prefix: boolean): string =>
  prefix ? `arrayExists(x -> startsWith(x, ${word(own)}), ${column})` : `has(${column}, ${word(own)})`;

/** A condition for the number `x`. */
export const holds = ({ min, max, below }: Range): string =>
  allOf([
    ...(min === undefined ? [] : [`x >= ${float(min)}`]),
    ...(max === undefined ? [] : [`x <= ${float(max)}`]),
    ...(below === undefined ? [] : [`x < ${float(below)}`]),
  ]);

/**
 * Options that are made of the stored ones: merged, or merged levels of a path.
 * @param from the stored option of each spelling
 * @param to the wanted options of each spelling
 */
function mapped(
  from: readonly (readonly number[])[],
  to: readonly (readonly number[])[],
): { codesOf(options: readonly number[]): number[]; from(list: string): string } {
  const wanted = new Map(
    from.flatMap(([stored], code) => (stored === undefined ? [] : [[stored, to[code] ?? []] as const])),
  );
  const depth = Math.max(0, ...[...wanted.values()].map((options) => options.length));
  const stored = [...wanted.keys()];
  const targets = Array.from({ length: depth }, (_, level) => stored.map((one) => wanted.get(one)?.[level] ?? none));
  return {
    codesOf(options) {
      const some = new Set(options);
      return stored.filter((one) => wanted.get(one)?.some((option) => some.has(option)));
    },
    from(list) {
      if (depth === 0) return "emptyArrayUInt32()";
      const parts = targets.map(
        (level) => `arrayMap(y -> transform(y, ${uints(stored)}, ${uints(level)}, toUInt32(${none})), ${list})`,
      );
      return `arrayDistinct(arrayFilter(y -> y != ${none}, arrayConcat(${parts.join(", ")})))`;
    },
  };
}
