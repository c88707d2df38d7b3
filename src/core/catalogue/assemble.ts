import { type Catalogue, ColumnBuilder } from "./catalogue.ts";
import { completeCatalogue } from "./complete.ts";
import { type Field, isWholeText } from "./field.ts";
import { splitCell } from "./values.ts";

/** A product as its source states it: one row of raw cells per variant, one cell per field. */
export interface SourceProduct {
  id: string;
  rows: string[][];
}

/**
 * Encodes raw cells as columns, infers each field's kind and adds the computed fields.
 * @param fields the cells' fields in order; their `kind` is inferred anew
 */
export function assembleCatalogue(fields: readonly Field[], products: readonly SourceProduct[]): Catalogue {
  const variantStart = new Uint32Array(products.length + 1);
  products.forEach(({ rows }, p) => {
    variantStart[p + 1] = (variantStart[p] ?? 0) + rows.length;
  });
  const columns: Catalogue["columns"] = new Map();
  fields.forEach((field, at) => {
    const whole = isWholeText(field.role);
    const builder = new ColumnBuilder();
    for (const { rows } of products) for (const row of rows) builder.add(splitCell(row[at] ?? "", whole));
    columns.set(field.key, builder.build());
  });
  return completeCatalogue({ fields: [...fields], columns, productIds: products.map(({ id }) => id), variantStart });
}
