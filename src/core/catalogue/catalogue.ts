import type { Field } from "./field.ts";

/**
 * The values of one field for every variant, dictionary-coded: variant `v` states
 * `spellings[codes[i]]` for `starts[v] ≤ i < starts[v + 1]`.
 */
export interface Column {
  /** Distinct normalized spellings, in the order in which the catalogue first states them. */
  spellings: string[];
  /** One offset per variant and one for the end. */
  starts: Uint32Array;
  codes: Uint32Array;
}

/** A shop's products, column by column. Variants of one product are adjacent. */
export interface Catalogue {
  fields: Field[];
  columns: Map<string, Column>;
  productIds: string[];
  /** Product `p` owns the variants `variantStart[p]` up to `variantStart[p + 1]`. */
  variantStart: Uint32Array;
}

/** Products of a catalogue. */
export const productCount = (catalogue: Catalogue): number => catalogue.productIds.length;
/** Variants of all its products. */
export const variantCount = (catalogue: Catalogue): number => catalogue.variantStart[catalogue.productIds.length] ?? 0;

/** The first field of a role. */
export function fieldOf(catalogue: Catalogue, role: Field["role"]): Field | undefined {
  return catalogue.fields.find((field) => field.role === role);
}

/** The field whose values are the products' titles; undefined if there is none, in which case ids are used. */
export const titleField = (catalogue: Catalogue): Field | undefined =>
  fieldOf(catalogue, "title") ?? catalogue.fields.find(({ titles }) => titles);

/** The title of a product. */
export function titleOf(catalogue: Catalogue, product: number): string {
  const field = titleField(catalogue);
  const id = catalogue.productIds[product] ?? "";
  return (field && firstValue(catalogue, field.key, catalogue.variantStart[product] ?? 0)) ?? id;
}

/** The first value that a variant states for a field, or undefined. */
export function firstValue(catalogue: Catalogue, key: string, variant: number): string | undefined {
  const column = catalogue.columns.get(key);
  if (!column || column.starts[variant] === column.starts[variant + 1]) return undefined;
  return column.spellings[column.codes[column.starts[variant] ?? 0] ?? 0];
}

/** All values of a variant in a field, in the order of its cell. */
export function valuesOf(catalogue: Catalogue, key: string, variant: number): string[] {
  const column = catalogue.columns.get(key);
  return column ? valuesAt(column, variant) : [];
}

/** All values of a variant in a column, in the order of its cell. */
export const valuesAt = ({ spellings, starts, codes }: Column, variant: number): string[] =>
  Array.from(codes.subarray(starts[variant], starts[variant + 1]), (code) => spellings[code] ?? "");

/** Collects one column's values, variant after variant. */
export class ColumnBuilder {
  #codeOf = new Map<string, number>();
  #spellings: string[] = [];
  #starts: number[] = [0];
  #codes: number[] = [];

  /** Adds the next variant with the values that it states. */
  add(values: readonly string[]): void {
    this.addCodes(values.map((value) => this.codeOf(value)));
  }

  /** Adds the next variant with the codes of its values. */
  addCodes(codes: readonly number[]): void {
    for (const code of codes) this.#codes.push(code);
    this.#starts.push(this.#codes.length);
  }

  /** The code of a value, which is new if the value is. */
  codeOf(value: string): number {
    let code = this.#codeOf.get(value);
    if (code === undefined) {
      code = this.#spellings.length;
      this.#codeOf.set(value, code);
      this.#spellings.push(value);
    }
    return code;
  }

  build(): Column {
    return {
      spellings: this.#spellings,
      starts: Uint32Array.from(this.#starts),
      codes: Uint32Array.from(this.#codes),
    };
  }
}
