import type { Catalogue } from "./catalogue.ts";
import { CellColumnBuilder } from "./cell-column.ts";
import { completeCatalogue } from "./complete.ts";
import { type Field, isWholeText } from "./field.ts";

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
  const columns = fields.map(({ key, role }) => [key, new CellColumnBuilder(isWholeText(role))] as const);
  // Row by row, since cells of one row are adjacent in memory.
  for (const { rows } of products)
    for (const row of rows) for (let at = 0; at < columns.length; at++) columns[at]?.[1].add(row[at] ?? "");
  return completeCatalogue({
    fields: [...fields],
    columns: new Map(columns.map(([key, column]) => [key, column.build()])),
    productIds: products.map(({ id }) => id),
    variantStart,
  });
}
