import type { Catalogue } from "./catalogue.ts";
import { CellColumnBuilder } from "./cell-column.ts";
import { faultFinder } from "./cell-fault.ts";
import { checkHeader } from "./check-header.ts";
import { completeCatalogue } from "./complete.ts";
import { readCsv } from "./csv.ts";
import { decodeText } from "./decode.ts";
import { type Field, isWholeText } from "./field.ts";
import { fieldsFor } from "./fields-for.ts";
import { gathered, rowPerProduct } from "./gather-rows.ts";
import { looksLikeJson, readJson } from "./json.ts";
import { CatalogueError, type Problem } from "./problem.ts";
import { cellReader, plainReading } from "./reading.ts";
import type { Reading } from "./reading-schema.ts";
import { rowIds } from "./row-ids.ts";
import { withTitles } from "./suggest-reading.ts";
import type { Table } from "./table.ts";
import { checkRowCount } from "./table-limits.ts";

export interface ReadOptions {
  /** Defaults to {@link plainReading}. */
  reading?: Reading;
  /** Fields of the present catalogue: a column that matches one keeps its key, so that panels keep their facets. */
  known?: readonly Field[];
  /** Rows without product ids are numbered; for a file that will not be updated. */
  numbered?: boolean;
}

export interface ReadResult {
  catalogue: Catalogue;
  /** Rows that were left out and values that could not be used, in the file's order. */
  problems: Problem[];
  /** Indices of the columns that the ids are made of; empty if the whole row is used. */
  by: number[];
}

/** Reads a catalogue file: bytes to catalogue. See {@link readTable} and {@link buildCatalogue} for what is thrown. */
export function readCatalogue(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  return buildCatalogue(readTable(bytes), options);
}

/** Reads a UTF-8 file of any supported format as a table. @throws CatalogueError */
export function readTable(bytes: Uint8Array): Table {
  return readText(decodeText(bytes));
}

/**
 * Reads the text of a file of any supported format as a table; the format is detected.
 * @param progress receives the share read so far, from 0 to 1, now and then
 * @throws CatalogueError
 */
export const readText = (text: string, progress?: (share: number) => void): Table =>
  looksLikeJson(text) ? readJson(text) : readCsv(text, progress);

/**
 * Groups a table's rows into products and encodes its columns. Without a product id column each row is a product,
 * named by {@link rowIds}; without a title column the best candidate is used.
 * @throws CatalogueError if a heading occurs twice, there are too many rows, or none can be used.
 */
export function buildCatalogue(
  table: Table,
  { reading: given = plainReading(table.header), known = [], numbered = false }: ReadOptions = {},
): ReadResult {
  const reading = withTitles(table, given);
  const roles = reading.map(({ as }) => as);
  checkHeader(table.header, roles);
  checkRowCount(table.records.length, table.header.length);

  const problems = [...table.problems];
  const idAt = roles.indexOf("product_id");
  const named = idAt < 0 && !numbered ? rowIds(table, reading) : { ids: [], by: idAt < 0 ? [] : [idAt] };
  const { order, records, variantStart } = idAt < 0 ? rowPerProduct(table, named.ids) : gathered(table, idAt, problems);
  if (order.length === 0) {
    throw new CatalogueError(
      problems[0] ?? {
        row: 1,
        message: "There are no products below the header row. Choose a file with at least one.",
      },
    );
  }

  const kept = table.header.map((_, at) => at).filter((at) => roles[at] !== "skip");
  const fields = fieldsFor(table.header, reading, kept, known);
  const columns: Catalogue["columns"] = new Map();
  kept.forEach((at, f) => {
    const field = fields[f];
    if (!field) return;
    const read = cellReader(reading[at] ?? { as: "attribute" });
    const faultOf = faultFinder(field);
    const builder = new CellColumnBuilder(isWholeText(field.role));
    for (const { row, cells } of records) {
      const cell = read(cells[at] ?? "");
      const fault = faultOf?.(cell);
      if (fault) problems.push({ row, column: table.header[at] ?? "", value: cells[at] ?? "", message: fault });
      builder.add(cell);
    }
    columns.set(field.key, builder.build());
  });
  problems.sort((a, b) => (a.row ?? 0) - (b.row ?? 0));
  const catalogue = completeCatalogue({ fields, columns, productIds: order, variantStart });
  return { catalogue, problems, by: named.by };
}
