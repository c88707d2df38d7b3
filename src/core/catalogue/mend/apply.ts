import {
  type Catalogue,
  type Column,
  ColumnBuilder,
  fieldOf,
  firstValue,
  productCount,
  valuesAt,
} from "../catalogue.ts";
import { completeCatalogue } from "../complete.ts";
import { type Field, isAlwaysVariant, isDerived } from "../field.ts";
import { identity, spelling } from "../identity.ts";
import { convertMeasure } from "../numbers/units.ts";
import { cellReader } from "../reading.ts";
import type { ColumnMapping } from "../reading-schema.ts";
import { splitCell } from "../values.ts";
import type { Mend, MendOf } from "./mend-schema.ts";

/**
 * Applies corrections to a catalogue, in order, and returns a new one. A correction for a missing field or product has
 * no effect.
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
      catalogue.columns.set(field.key, withValues(column, unitRule(mend)));
      catalogue.fields[at] = { ...field, given: "number", unit: mend.unit };
    } else if (mend.kind === "field") {
      catalogue.columns.set(field.key, readAnew(catalogue, field, column, mend));
      catalogue.fields[at] = describedAnew(field, mend);
    } else catalogue.columns.set(field.key, withCells(column, cellsOf(catalogue, mend), mend.to));
  }
  return completeCatalogue(catalogue);
}

/** Number of products changed by a correction. */
export function mendedProducts(catalogue: Catalogue, mend: Mend): number {
  const column = catalogue.columns.get(mend.field);
  if (!column) return 0;
  if (mend.kind === "set" || mend.kind === "cell") {
    const touched = new Set(cellsOf(catalogue, mend));
    return countProducts(catalogue, (variant) => touched.has(variant));
  }
  // Renaming a field, or reading it differently, touches every product that has a value.
  if (mend.kind === "field") return countProducts(catalogue, (v) => column.starts[v] !== column.starts[v + 1]);
  const rule = mend.kind === "values" ? valueRule(mend) : unitRule(mend);
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

/**
 * The name of a variant in a correction: its SKU if it has one, otherwise its position among the product's variants,
 * from 1.
 * @param sku the SKU field, if already looked up
 */
export function variantName(
  catalogue: Catalogue,
  variant: number,
  place: number,
  sku = fieldOf(catalogue, "sku"),
): string {
  return (sku && firstValue(catalogue, sku.key, variant)) ?? `#${place + 1}`;
}

function valueRule({ from, to }: MendOf<"values">): (text: string) => string[] {
  const sources = new Set(from.map(identity));
  const targets = to.map(spelling).filter((text) => text !== "");
  return (text) => (sources.has(identity(text)) ? targets : [text]);
}

const unitRule =
  ({ unit }: MendOf<"units">) =>
  (text: string): string[] => [convertMeasure(text, unit) ?? text];

/** A field with another name, kind, level or unit. */
function describedAnew(field: Field, { name, values, level, unit, decimal, dates }: MendOf<"field">): Field {
  const { unit: _old, ...rest } = field;
  const given = values ?? (decimal ? "number" : dates ? "date" : field.given);
  return {
    ...rest,
    ...(unit === undefined ? (field.unit ? { unit: field.unit } : {}) : unit === "" ? {} : { unit }),
    ...(name ? { name } : {}),
    ...(given ? { given } : {}),
    ...(level ? { level } : {}),
  };
}

/**
 * Reads a field's cells again as the designer describes them; at product level each variant gets the values of all the
 * product's variants.
 */
function readAnew(catalogue: Catalogue, field: Field, column: Column, mend: MendOf<"field">): Column {
  const { values, separator, decimal, dates, level } = mend;
  const reader = cellReader({
    as: isDerived(field) ? "attribute" : (field.role as ColumnMapping["as"]),
    ...(values ? { kind: values } : {}),
    ...(separator !== undefined ? { separator } : {}),
    ...(decimal ? { decimal } : {}),
    ...(dates ? { dates } : {}),
  });
  const read = separator === "" ? withWholeCells(column) : withValues(column, (text) => splitCell(reader(text), false));
  return level === "product" && !isAlwaysVariant(field.role) ? sharedByProduct(catalogue, read) : read;
}

/** The column with all that a cell says as one value. */
function withWholeCells(column: Column): Column {
  const builder = new ColumnBuilder();
  for (let v = 0; v + 1 < column.starts.length; v++) {
    const values = valuesAt(column, v);
    builder.add(values.length > 1 ? [values.join(", ")] : values);
  }
  return builder.build();
}

/** The column with each variant stating the values of all its product's variants. */
function sharedByProduct({ variantStart, productIds }: Catalogue, column: Column): Column {
  const builder = new ColumnBuilder();
  for (let p = 0; p < productIds.length; p++) {
    const [from, to] = [variantStart[p] ?? 0, variantStart[p + 1] ?? 0];
    const all = new Map<string, string>();
    for (let v = from; v < to; v++)
      for (const value of valuesAt(column, v)) if (!all.has(identity(value))) all.set(identity(value), value);
    for (let v = from; v < to; v++) builder.add([...all.values()]);
  }
  return builder.build();
}

/** The column with every spelling mapped by a rule; a variant states each value once. */
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

/** The variants named by a correction of cells. */
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
