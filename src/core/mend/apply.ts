import {
  type Catalogue,
  type Column,
  ColumnBuilder,
  fieldOf,
  firstValue,
  productCount,
  valuesAt,
} from "../catalogue/catalogue.ts";
import { completeCatalogue } from "../catalogue/complete.ts";
import { identity, spelling } from "../catalogue/identity.ts";
import { convertMeasure } from "../numbers/units.ts";
import type { Mend, MendOf } from "./mend-schema.ts";

/**
 * A catalogue with mends done over it, in their order; the one passed stays as it is. A mend of a field or
 * a product that is not there does nothing.
 */
export function applyMends(source: Catalogue, mends: readonly Mend[]): Catalogue {
  if (mends.length === 0) return source;
  const catalogue: Catalogue = { ...source, fields: [...source.fields], columns: new Map(source.columns) };
  for (const mend of mends) {
    const at = catalogue.fields.findIndex(({ key }) => key === mend.field);
    const column = catalogue.columns.get(mend.field);
    const field = catalogue.fields[at];
    if (!field || !column) continue;
    if (mend.kind === "values") catalogue.columns.set(field.key, withValues(column, valueRule(mend)));
    else if (mend.kind === "units") {
      catalogue.columns.set(
        field.key,
        withValues(column, (text) => [convertMeasure(text, mend.unit) ?? text]),
      );
      catalogue.fields[at] = { ...field, given: "number", unit: mend.unit };
    } else catalogue.columns.set(field.key, withCells(column, cellsOf(catalogue, mend), mend.to));
  }
  return completeCatalogue(catalogue);
}

/** How many products a mend changes in the catalogue that it is done over. */
export function mendedProducts(catalogue: Catalogue, mend: Mend): number {
  const column = catalogue.columns.get(mend.field);
  if (!column) return 0;
  if (mend.kind === "set" || mend.kind === "cell") {
    const touched = new Set(cellsOf(catalogue, mend));
    return countProducts(catalogue, (variant) => touched.has(variant));
  }
  const rule = mend.kind === "values" ? valueRule(mend) : (text: string) => [convertMeasure(text, mend.unit) ?? text];
  const changed = column.spellings.map((text) => {
    const to = rule(text);
    return to.length !== 1 || to[0] !== text;
  });
  return countProducts(catalogue, (variant) => {
    for (let i = column.starts[variant] ?? 0; i < (column.starts[variant + 1] ?? 0); i++)
      if (changed[column.codes[i] ?? 0]) return true;
    return false;
  });
}

/** What a mend calls a variant: its SKU where it has one, else its place among the product's variants, from 1. */
export function variantName(catalogue: Catalogue, variant: number, place: number): string {
  const sku = fieldOf(catalogue, "sku");
  return (sku && firstValue(catalogue, sku.key, variant)) ?? `#${place + 1}`;
}

function valueRule({ from, to }: MendOf<"values">): (text: string) => string[] {
  const sources = new Set(from.map(identity));
  const targets = to.map(spelling).filter((text) => text !== "");
  return (text) => (sources.has(identity(text)) ? targets : [text]);
}

/** The column with every spelling put through a rule; a variant states each value once. */
function withValues({ spellings, starts, codes }: Column, rule: (text: string) => string[]): Column {
  const becomes = spellings.map(rule);
  const builder = new ColumnBuilder();
  for (let v = 0; v + 1 < starts.length; v++) {
    const values: string[] = [];
    for (let i = starts[v] ?? 0; i < (starts[v + 1] ?? 0); i++)
      for (const text of becomes[codes[i] ?? 0] ?? []) if (!values.includes(text)) values.push(text);
    builder.add(values);
  }
  return builder.build();
}

/** The column with some variants' values replaced. */
function withCells(column: Column, variants: Iterable<number>, to: readonly string[]): Column {
  const touched = new Set(variants);
  const values = to.map(spelling).filter((text) => text !== "");
  const builder = new ColumnBuilder();
  for (let v = 0; v + 1 < column.starts.length; v++) builder.add(touched.has(v) ? values : valuesAt(column, v));
  return builder.build();
}

/** The variants that a mend of cells names. */
function cellsOf(catalogue: Catalogue, mend: MendOf<"set" | "cell">): number[] {
  const wanted = new Set(mend.kind === "set" ? mend.products : [mend.product]);
  const { productIds, variantStart } = catalogue;
  const found: number[] = [];
  for (let p = 0; p < productCount(catalogue); p++) {
    if (!wanted.has(productIds[p] ?? "")) continue;
    for (let v = variantStart[p] ?? 0; v < (variantStart[p + 1] ?? 0); v++)
      if (mend.kind === "set" || variantName(catalogue, v, v - (variantStart[p] ?? 0)) === mend.variant) found.push(v);
  }
  return found;
}

function countProducts({ variantStart, productIds }: Catalogue, touches: (variant: number) => boolean): number {
  let total = 0;
  for (let p = 0; p < productIds.length; p++) {
    for (let v = variantStart[p] ?? 0; v < (variantStart[p + 1] ?? 0); v++) {
      if (!touches(v)) continue;
      total++;
      break;
    }
  }
  return total;
}
