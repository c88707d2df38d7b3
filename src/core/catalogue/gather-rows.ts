import type { Problem } from "./problem.ts";
import type { Table, TableRecord } from "./table.ts";

/**
 * Rows grouped by product: product ids, row indices with each product's rows adjacent, and the offset of each product.
 */
export interface GatheredRows {
  order: string[];
  records: TableRecord[];
  variantStart: Uint32Array;
}

/** Each row as a product of its own. @param ids one per row, all different; row numbers if there are none */
export const rowPerProduct = ({ records }: Table, ids: readonly string[]): GatheredRows => ({
  order: records.map((_, row) => ids[row] ?? String(row + 1)),
  records,
  variantStart: Uint32Array.from({ length: records.length + 1 }, (_, row) => row),
});

/** Groups rows with the same id into one product. @param problems receives the rows without an id, which are skipped */
export function gathered({ header, records }: Table, idAt: number, problems: Problem[]): GatheredRows {
  const rowsOf = new Map<string, TableRecord[]>();
  for (const record of records) {
    const id = record.cells[idAt]?.trim() ?? "";
    if (id === "") {
      problems.push({
        row: record.row,
        column: header[idAt] ?? "",
        message: "The product id is empty, so this row was skipped. Fill in the product id.",
      });
      continue;
    }
    const rows = rowsOf.get(id);
    if (rows) rows.push(record);
    else rowsOf.set(id, [record]);
  }
  const order = [...rowsOf.keys()];
  const variantStart = new Uint32Array(order.length + 1);
  let start = 0;
  order.forEach((id, p) => {
    start += rowsOf.get(id)?.length ?? 0;
    variantStart[p + 1] = start;
  });
  return { order, records: [...rowsOf.values()].flat(), variantStart };
}
