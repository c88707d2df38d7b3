import { isNested } from "../../core/catalogue/field-kinds.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { codeOptions, type OptionCodes } from "../../core/engine/index/facet-index.ts";
import { vocabularyOf } from "../../core/engine/index/field-words.ts";
import { kept } from "../../core/engine/index/kept.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import { prefixShare, weightOf } from "../../core/engine/index/text-index.ts";
import { words } from "../../core/engine/index/words.ts";
import type { Choice, Clause, Facet, Selection } from "../../core/engine/question.ts";
import { optionsOf, rangeOf } from "../../core/engine/selection.ts";
import { anyOf, type Condition, never, ofProduct, onColumn, type Scope } from "./conditions.ts";
import { all, any, float, uints, word } from "./sql.ts";
import { columnsOf, hasLevels, type StoredCatalogue, type StoredField } from "./stored-catalogue.ts";

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
  readonly #vocabularies = new Map<string, readonly string[]>();
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

  /** Adds product numbers. Ids without one are not kept: anybody can ask for any number of them. */
  know(found: ReadonlyMap<string, number>): void {
    for (const [id, number] of found) this.#numbers.set(id, number);
  }

  /** The known product numbers of some ids, in their order. */
  numbersOf(ids: readonly string[]): number[] {
    return ids.flatMap((id) => this.#numbers.get(id) ?? []);
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
    const { codesOf, from } =
      merges.length === 0
        ? { codesOf: (options: readonly number[]) => options, from: (list: string) => list }
        : mapped(codeOptions(spellings, uses, false).optionsOfCode, coded.optionsOfCode);
    const has = (options: readonly number[]): Condition => {
      const codes = codesOf(options);
      return codes.length === 0 ? never : onColumn(`hasAny(${column}, ${uints(codes)})`, column, varies);
    };
    const made = { options: coded.options, at: coded.at, column, varies, from, has };
    this.#options.set(name, made);
    return made;
  }

  /** The page’s conditions. */
  within(clauses: readonly Clause[], searching?: readonly SearchedField[]): Scope {
    const conditions = clauses.map((clause) => anyOf(clause.map((one) => this.#condition(one, searching))));
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
    return all(asked.map((own, i) => any(columns.map((column) => hasWord(column, own, i === asked.length - 1)))));
  }

  /** The columns of words that a search reads, with their weights. */
  searched(searching: readonly SearchedField[] | undefined): { at: number; column: string; weight: number }[] {
    return [...this.#fields.values()].flatMap(({ field, at, spellings }) => {
      const weight = spellings.length === 0 ? 0 : weightOf(field, searching);
      return weight > 0 ? [{ at, column: columnsOf(at).words, weight }] : [];
    });
  }

  /** The words of each field that a search reads; see {@link vocabularyOf}. */
  vocabularies(searching: readonly SearchedField[] | undefined): (readonly string[])[] {
    const fields = [...this.#fields.values()];
    return this.searched(searching).map(({ at }) =>
      kept(this.#vocabularies, String(at), () => vocabularyOf((fields[at]?.spellings ?? []).map(words))),
    );
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

const hasWord = (column: string, own: string, prefix: boolean): string =>
  prefix ? `arrayExists(x -> startsWith(x, ${word(own)}), ${column})` : `has(${column}, ${word(own)})`;

/** A condition for the number `x`. */
export const holds = ({ min, max, below }: Range): string =>
  all([
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
