import { isNested } from "../../core/catalogue/field-kinds.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { codeOptions, type OptionCodes } from "../../core/engine/index/facet-index.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import { weightOf } from "../../core/engine/index/text-index.ts";
import { words } from "../../core/engine/index/words.ts";
import type { Choice, Clause, Facet, Selection } from "../../core/engine/question.ts";
import { optionsOf, rangeOf } from "../../core/engine/selection.ts";
import { all, any, float, uints, word } from "./sql.ts";
import { columnsOf, hasLevels, type StoredCatalogue, type StoredField } from "./stored-catalogue.ts";

/**
 * What a match asks of the rows, which are variants: every condition of `rows` must hold on one of a product’s rows, and
 * for each of `each` it must hold together with all of `rows`, on whichever row.
 */
export interface Scope {
  rows: readonly string[];
  each: readonly string[];
}

/** Largest number of ids whose numbers are kept. */
const maxIds = 100_000;

/** No option of a mapping. */
const none = 0xffff_ffff;

/** The options of a facet in the store: what they are, and where the rows have them. */
export interface StoredOptions extends Pick<OptionCodes, "options" | "at"> {
  /** An expression for the options of a row. */
  ofRow: string;
  /** An expression for whether a row has one of some options. */
  has(options: readonly number[]): string;
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
    const { spellings, uses, at } = field;
    const { options: plain, tree: levels } = columnsOf(at);
    const coded = codeOptions(spellings, uses, tree, merges);
    const direct = merges.length === 0 ? (tree && hasLevels(spellings) ? levels : plain) : undefined;
    const made = {
      options: coded.options,
      at: coded.at,
      ...(direct === undefined
        ? mapped(plain, codeOptions(spellings, uses, false).optionsOfCode, coded.optionsOfCode)
        : { ofRow: direct, has: (options: readonly number[]) => `hasAny(${direct}, ${uints(options)})` }),
    };
    this.#options.set(name, made);
    return made;
  }

  /** The page’s conditions. */
  within(clauses: readonly Clause[], searching?: readonly SearchedField[]): Scope {
    return { rows: clauses.map((clause) => any(clause.map((one) => this.#condition(one, searching)))), each: [] };
  }

  /** A scope narrowed by a selection. @param without a field whose choice is ignored */
  chosen(
    page: Scope,
    { text, choices }: Selection,
    facets: readonly Facet[],
    searching: readonly SearchedField[] | undefined,
    without?: string,
  ): Scope {
    const scope = { rows: [...page.rows], each: [...page.each] };
    const found = this.#search(text, searching);
    if (found !== undefined) scope.rows.push(found);
    for (const facet of facets) {
      const choice = choices[facet.field];
      if (!choice || facet.field === without) continue;
      const { rows, each } = this.#choice(facet, choice);
      scope.rows.push(...rows);
      scope.each.push(...each);
    }
    return scope;
  }

  /** A condition for a row with a number within a range. */
  inRange(key: string, range: Range): string {
    const field = this.#fields.get(key);
    return field ? `arrayExists(x -> ${holds(range)}, ${columnsOf(field.at).numbers})` : "0";
  }

  #choice(facet: Facet, choice: Choice): Scope {
    if (facet.mode === "range") return { rows: [this.inRange(facet.field, rangeOf(choice))], each: [] };
    const { at, has } = this.options(facet);
    // An option that the catalogue no longer contains finds nothing.
    const chosen = optionsOf(choice).map((id) => at.get(id));
    const one = (option: number | undefined) => (option === undefined ? "0" : has([option]));
    if (facet.mode !== "all") {
      const there = chosen.flatMap((option) => option ?? []);
      return { rows: [there.length === 0 ? "0" : has(there)], each: [] };
    }
    if (this.#fields.get(facet.field)?.level === "variant") return { rows: [], each: chosen.map(one) };
    return { rows: chosen.length === 0 ? ["0"] : chosen.map(one), each: [] };
  }

  #condition(condition: Clause[number], searching: readonly SearchedField[] | undefined): string {
    if ("words" in condition) return this.#search(condition.words, searching) ?? "1";
    if ("products" in condition) {
      const numbers = this.numbersOf(condition.products);
      return numbers.length === 0 ? "0" : `has(${uints(numbers)}, product)`;
    }
    const field = this.#fields.get(condition.field);
    if (!field) return "0";
    if (!("options" in condition)) return this.inRange(condition.field, condition);
    const { at, has } = this.options({ field: condition.field, mode: isNested(field.field) ? "tree" : "any" });
    const there = condition.options.flatMap((id) => at.get(id) ?? []);
    return there.length === 0 ? "0" : has(there);
  }

  /** A condition for the products of a search; undefined for no words. */
  #search(text: string, searching: readonly SearchedField[] | undefined): string | undefined {
    const asked = words(text);
    if (asked.length === 0) return undefined;
    const columns = this.searched(searching).map(({ column }) => column);
    return all(asked.map((own, i) => any(columns.map((column) => hasWord(column, own, i === asked.length - 1)))));
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
  column: string,
  from: readonly (readonly number[])[],
  to: readonly (readonly number[])[],
): Pick<StoredOptions, "ofRow" | "has"> {
  const wanted = new Map(
    from.flatMap(([stored], code) => (stored === undefined ? [] : [[stored, to[code] ?? []] as const])),
  );
  const depth = Math.max(0, ...[...wanted.values()].map((options) => options.length));
  const stored = [...wanted.keys()];
  const parts = Array.from({ length: depth }, (_, level) => {
    const targets = stored.map((one) => wanted.get(one)?.[level] ?? none);
    return `arrayMap(x -> transform(x, ${uints(stored)}, ${uints(targets)}, toUInt32(${none})), ${column})`;
  });
  return {
    ofRow:
      depth === 0
        ? "emptyArrayUInt32()"
        : `arrayDistinct(arrayFilter(x -> x != ${none}, arrayConcat(${parts.join(", ")})))`,
    has: (options) => {
      const some = new Set(options);
      const codes = stored.filter((one) => wanted.get(one)?.some((option) => some.has(option)));
      return codes.length === 0 ? "0" : `hasAny(${column}, ${uints(codes)})`;
    },
  };
}
