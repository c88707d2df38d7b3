import { type Catalogue, productCount, variantCount } from "../../catalogue/catalogue.ts";
import { type Field, isAlwaysVariant } from "../../catalogue/field.ts";
import { toNumber } from "../../catalogue/field-kinds.ts";
import { identity, spelling } from "../../catalogue/identity.ts";
import { countAt } from "../../catalogue/numbers/tally.ts";
import { prefixes } from "../../catalogue/path.ts";
import { type Bitmap, bitmapOf } from "./bitmap.ts";
import { type Forward, forwardOf } from "./forward.ts";
import type { Level, Merge, Option } from "./option-schema.ts";
import { buildPostings, type Postings, postingsOf, productPostings } from "./postings.ts";

/** A field as discrete options over its records. */
export interface OptionIndex {
  level: Level;
  options: Option[];
  /** Option identity → index in `options`. */
  at: Map<string, number>;
  postings: Postings;
  forward: Forward;
  /** The records of an option as a bitmap, cached. */
  bits(option: number): Bitmap;
}

/** The options of each product, each once. */
export interface ProductOptions {
  forward: Forward;
  /** How many products state each option. */
  totals: Uint32Array;
  /** The products of an option as a bitmap, cached. */
  bits(option: number): Bitmap;
}

/** A field as numbers over its records: record `r` states `values[starts[r]]` up to `values[starts[r + 1]]`. */
export interface NumberIndex {
  level: Level;
  starts: Uint32Array;
  values: Float64Array;
}

/**
 * Variant level if any product has variants that disagree; a variant without a value disagrees with one that has one.
 */
export function levelOf(catalogue: Catalogue, field: Field): Level {
  if (isAlwaysVariant(field.role)) return "variant";
  if (field.level) return field.level;
  const column = catalogue.columns.get(field.key);
  if (!column) return "product";
  const ids = valueNumbers(column.spellings);
  const { starts, codes } = column;
  const stated = (variant: number) => {
    const set = new Set<number>();
    for (let i = starts[variant] ?? 0; i < (starts[variant + 1] ?? 0); i++) set.add(ids[codes[i] ?? 0] ?? 0);
    return set;
  };
  /** Whether two variants state the same; nearly all that do state it in the same order, which needs no sets. */
  const agree = (a: number, b: number) => {
    const [from, to] = [starts[a] ?? 0, starts[b] ?? 0];
    const length = (starts[a + 1] ?? 0) - from;
    const isSameLength = (starts[b + 1] ?? 0) - to === length;
    let i = 0;
    while (isSameLength && i < length && ids[codes[from + i] ?? 0] === ids[codes[to + i] ?? 0]) i++;
    if (isSameLength && i === length) return true;
    if (isSameLength && length === 1) return false;
    const [first, other] = [stated(a), stated(b)];
    return other.size === first.size && [...other].every((id) => first.has(id));
  };
  const { variantStart } = catalogue;
  for (let p = 0; p < productCount(catalogue); p++) {
    if ((variantStart[p + 1] ?? 0) - (variantStart[p] ?? 0) < 2) continue;
    const first = variantStart[p] ?? 0;
    for (let v = first + 1; v < (variantStart[p + 1] ?? 0); v++) if (!agree(first, v)) return "variant";
  }
  return "product";
}

/**
 * Codes a field's values as options.
 * @param tree every level of a path is an option of its own
 * @param merges values that are one option; the option's identity is that of its label
 */
export function indexOptions(
  catalogue: Catalogue,
  field: Field,
  level: Level,
  tree: boolean,
  merges: readonly Merge[] = [],
): OptionIndex {
  const column = catalogue.columns.get(field.key) ?? {
    spellings: [],
    starts: new Uint32Array(variantCount(catalogue) + 1),
    codes: new Uint32Array(),
  };
  const uses = new Uint32Array(column.spellings.length);
  for (const code of column.codes) countAt(uses, code);

  const { options, at, optionsOfCode } = codeOptions(column.spellings, uses, tree, merges);

  const { variantStart } = catalogue;
  const records = level === "product" ? productCount(catalogue) : variantCount(catalogue);
  const postings = buildPostings(options.length, records, (record, visit) => {
    // Product-level values are the same on all of a product's variants, so the first variant's are used.
    const variant = level === "product" ? (variantStart[record] ?? 0) : record;
    for (let i = column.starts[variant] ?? 0; i < (column.starts[variant + 1] ?? 0); i++) {
      for (const option of optionsOfCode[column.codes[i] ?? 0] ?? []) visit(option);
    }
  });
  const forward = forwardOf(postings, options.length, records);
  return { level, options, at, postings, forward, bits: bitmapsOf(postings, records) };
}

/** The records of each option as a bitmap, made when first asked for. */
function bitmapsOf(postings: Postings, records: number): (option: number) => Bitmap {
  const made: Bitmap[] = [];
  return (option) => {
    made[option] ??= bitmapOf(postingsOf(postings, option), records);
    return made[option];
  };
}

/**
 * The options of each product of a field, each once.
 * @param productOf variant → product
 */
export function productOptions(
  { level, options, postings, forward, bits }: OptionIndex,
  products: number,
  productOf: Uint32Array,
): ProductOptions {
  const own = level === "product" ? postings : productPostings(postings, productOf);
  const totals = Uint32Array.from(options, (_, option) => (own.starts[option + 1] ?? 0) - (own.starts[option] ?? 0));
  if (own === postings) return { forward, totals, bits };
  return { forward: forwardOf(own, options.length, products), totals, bits: bitmapsOf(own, products) };
}

/** The options of a field, without its records. */
export interface OptionCodes extends Pick<OptionIndex, "options" | "at"> {
  /** The options of each spelling; of a path one for each level. */
  optionsOfCode: number[][];
}

/**
 * Codes a field's spellings as options; see {@link indexOptions}.
 * @param uses how often each spelling occurs
 */
export function codeOptions(
  spellings: readonly string[],
  uses: ArrayLike<number>,
  tree: boolean,
  merges: readonly Merge[] = [],
): OptionCodes {
  const merged = new Map(
    merges.flatMap(({ label, values }) => values.map((value) => [value, spelling(label)] as const)),
  );
  const at = new Map<string, number>();
  const labels = new Labels();
  const optionsOfCode = spellings.map((text, code) => {
    const own = merged.size === 0 ? undefined : merged.get(identity(text));
    const names = own !== undefined ? [own] : tree ? prefixes(text) : [text];
    return names.map((name) => {
      const id = identity(name);
      let option = at.get(id);
      if (option === undefined) {
        option = at.size;
        at.set(id, option);
      }
      labels.add(option, name, uses[code] ?? 0);
      return option;
    });
  });
  return { options: [...at.keys()].map((id, option) => ({ id, label: labels.of(option) })), at, optionsOfCode };
}

/** Indexes a field's values as numbers; other values count as not stated. */
export function indexNumbers(catalogue: Catalogue, field: Field, level: Level): NumberIndex {
  const column = catalogue.columns.get(field.key);
  const records = level === "product" ? productCount(catalogue) : variantCount(catalogue);
  const starts = new Uint32Array(records + 1);
  const values: number[] = [];
  const numbers = column?.spellings.map((text) => toNumber(text, field.kind)) ?? [];
  for (let record = 0; record < records; record++) {
    const variant = level === "product" ? (catalogue.variantStart[record] ?? 0) : record;
    for (let i = column?.starts[variant] ?? 0; i < (column?.starts[variant + 1] ?? 0); i++) {
      const value = numbers[column?.codes[i] ?? 0] ?? Number.NaN;
      if (!Number.isNaN(value)) values.push(value);
    }
    starts[record + 1] = values.length;
  }
  return { level, starts, values: Float64Array.from(values) };
}

/** Numbers distinct identities, so that sets of values can be compared cheaply. */
function valueNumbers(spellings: readonly string[]): number[] {
  const numbers = new Map<string, number>();
  return spellings.map((text) => {
    const id = identity(text);
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  });
}

/** Counts the spellings of each option. Nearly all have a single one, which needs no table. */
class Labels {
  #first: { name: string; uses: number }[] = [];
  #others = new Map<number, Map<string, number>>();

  add(option: number, name: string, uses: number): void {
    const first = this.#first[option];
    if (!first) this.#first[option] = { name, uses };
    else if (first.name === name) first.uses += uses;
    else {
      const others = this.#others.get(option) ?? new Map<string, number>();
      others.set(name, (others.get(name) ?? 0) + uses);
      this.#others.set(option, others);
    }
  }

  /** The most frequent spelling, the first on a tie. */
  of(option: number): string {
    const { name, uses } = this.#first[option] ?? { name: "", uses: 0 };
    let best = { name, uses };
    for (const [other, times] of this.#others.get(option) ?? [])
      if (times > best.uses) best = { name: other, uses: times };
    return best.name;
  }
}
