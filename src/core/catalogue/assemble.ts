import { type Catalogue, type Column, ColumnBuilder } from "./catalogue.ts";
import { addDerived } from "./derive.ts";
import { type Field, type FieldRole, isWholeText } from "./field.ts";
import { inferKind, splitCell } from "./values.ts";

/** A product as its source states it: a row of raw cells a variant, one cell a field. */
export interface SourceProduct {
  id: string;
  rows: string[][];
}

/** Fields whose values are numbers by definition; others are judged by what they hold. */
export const mustBeNumber: ReadonlySet<FieldRole> = new Set(["price", "list_price", "stock", "rating", "reviews"]);

/**
 * Codes raw cells as columns, judges each field's kind and adds the computed fields.
 * @param fields the cells' fields in order; their `kind` is found anew
 */
export function assembleCatalogue(fields: readonly Field[], products: readonly SourceProduct[]): Catalogue {
  const variantStart = new Uint32Array(products.length + 1);
  products.forEach(({ rows }, p) => {
    variantStart[p + 1] = variantStart[p] + rows.length;
  });
  const catalogue: Catalogue = { fields: [], columns: new Map(), productIds: products.map(({ id }) => id), variantStart };
  fields.forEach((field, at) => {
    const whole = isWholeText(field.role);
    const builder = new ColumnBuilder();
    for (const { rows } of products) for (const row of rows) builder.add(splitCell(row[at], whole));
    const column = builder.build();
    catalogue.columns.set(field.key, column);
    catalogue.fields.push({ ...field, kind: kindOf(field.role, column) });
  });
  addDerived(catalogue);
  return catalogue;
}

function kindOf(role: FieldRole, { spellings }: Column): Field["kind"] {
  if (role === "category") return "path";
  if (mustBeNumber.has(role)) return "number";
  return isWholeText(role) ? "text" : inferKind(spellings);
}
