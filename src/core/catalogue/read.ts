import { type Catalogue, ColumnBuilder } from "./catalogue.ts";
import { completeCatalogue, mustBeNumber } from "./complete.ts";
import { readCsv } from "./csv.ts";
import { decodeText } from "./decode.ts";
import { type Field, fieldKey, isWholeText, knownColumns, roleNames } from "./field.ts";
import { parseDay, parseNumber } from "./field-kinds.ts";
import { spelling } from "./identity.ts";
import { looksLikeJson, readJson } from "./json.ts";
import { CatalogueError, type Problem } from "./problem.ts";
import { cellReader, plainReading } from "./reading.ts";
import type { Reading } from "./reading-schema.ts";
import { rowIds } from "./row-ids.ts";
import { isCalled, shownName } from "./shown-name.ts";
import { availabilityOf } from "./stock-words.ts";
import { withTitles } from "./suggest-reading.ts";
import type { Table, TableRecord } from "./table.ts";
import { checkRowCount } from "./table-limits.ts";
import { splitCell } from "./values.ts";

export interface ReadOptions {
  /** Defaults to {@link plainReading}. */
  reading?: Reading;
  /** Fields of the shop's present catalogue: a column that is one of them keeps its key, so that panels keep their facets. */
  known?: readonly Field[];
  /** Rows without product ids are called by their numbers, for a file that no newer one will follow. */
  numbered?: boolean;
}

export interface ReadResult {
  catalogue: Catalogue;
  /** Rows that were left out and values that could not be used, in the file's order. */
  problems: Problem[];
  /** Places of the columns that tell the products apart; none where it is all that a row says. */
  by: number[];
}

/** Reads a catalogue file: bytes to catalogue. See {@link readTable} and {@link buildCatalogue} for what is thrown. */
export function readCatalogue(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  return buildCatalogue(readTable(bytes), options);
}

/**
 * A file of any known format as a table; which one it is, is told by its text.
 * @param progress is told the share read so far, from 0 to 1, now and then
 * @throws CatalogueError
 */
export function readTable(bytes: Uint8Array, progress?: (share: number) => void): Table {
  const text = decodeText(bytes);
  return looksLikeJson(text) ? readJson(text) : readCsv(text, progress);
}

/**
 * Gathers a table's rows into products and codes its columns. Without a column of product ids each row is a product,
 * named by what it says ({@link rowIds}); without a column of titles the one that names things best gives them.
 * @throws CatalogueError when a heading stands twice, there are too many rows, or none can be used.
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
  const { order, records, variantStart } = idAt < 0 ? eachAProduct(table, named.ids) : gathered(table, idAt, problems);
  if (order.length === 0) {
    throw new CatalogueError(
      problems[0] ?? {
        row: 1,
        message: "There are no products below the header row. Choose a file with at least one.",
      },
    );
  }

  const kept = table.header.map((_, at) => at).filter((at) => roles[at] !== "skip");
  const taken = new Set(known.map(({ key }) => key));
  const fields = kept.map((at): Field => {
    const role = roles[at] as Field["role"];
    const heading = table.header[at] ?? "";
    const goesOn = reading[at]?.field;
    const old =
      known.find((field) => field.key === goesOn && field.role === role) ??
      known.find((field) => field.role === role && (role !== "attribute" || isCalled(field, heading)));
    const key = old?.key ?? fieldKey(role === "attribute" ? heading : role, taken);
    taken.add(key);
    const { kind: wanted, titles, unit } = reading[at] ?? { as: "attribute" };
    const name = role === "attribute" ? (old?.name ?? shownName(heading)) : roleNames[role];
    return {
      key,
      name,
      role,
      kind: "text",
      ...(wanted ? { given: wanted } : {}),
      ...(unit ? { unit } : {}),
      ...(titles ? { titles } : {}),
    };
  });
  const columns: Catalogue["columns"] = new Map();
  kept.forEach((at, f) => {
    const field = fields[f];
    if (!field) return;
    const read = cellReader(reading[at] ?? { as: "attribute" });
    const faultOf = faultFinder(field);
    const whole = isWholeText(field.role);
    const builder = new ColumnBuilder();
    for (const { row, cells } of records) {
      const cell = read(cells[at] ?? "");
      const fault = faultOf?.(cell);
      if (fault) problems.push({ row, column: table.header[at] ?? "", value: cells[at] ?? "", message: fault });
      builder.add(splitCell(cell, whole));
    }
    columns.set(field.key, builder.build());
  });
  problems.sort((a, b) => (a.row ?? 0) - (b.row ?? 0));
  const catalogue = completeCatalogue({ fields, columns, productIds: order, variantStart });
  return { catalogue, problems, by: named.by };
}

/** Rows by products: their ids, the rows of each beside one another, and where those of each begin. */
interface Gathered {
  order: string[];
  records: TableRecord[];
  variantStart: Uint32Array;
}

/** Each row as a product of its own. @param ids one a row, no two alike; their numbers where there are none */
const eachAProduct = ({ records }: Table, ids: readonly string[]): Gathered => ({
  order: records.map((_, row) => ids[row] ?? String(row + 1)),
  records,
  variantStart: Uint32Array.from({ length: records.length + 1 }, (_, row) => row),
});

/** Rows of one id as one product. @param problems gets the rows without an id, which are left out */
function gathered({ header, records }: Table, idAt: number, problems: Problem[]): Gathered {
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

const noNumber =
  "This is not a number, so the cell counts as empty. Write it like 1234.50, or choose the number format of this column.";
const noStock =
  "This is neither a number nor a known stock status, so availability is unknown. Write a number, or “in stock” or “out of stock”.";
const noDay =
  "This is not a date, so the cell counts as empty. Write it like 2026-03-31, or choose the date format of this column.";

/** For a field whose cells must be numbers or days, what finds a cell that is none and says what is wrong with it. */
function faultFinder({ role, given }: Field): ((cell: string) => string | undefined) | undefined {
  const number = mustBeNumber.has(role) || given === "number";
  if (!number && given !== "date") return undefined;
  const parse = number ? parseNumber : parseDay;
  const message = number ? noNumber : noDay;
  const isKnown = (value: string) =>
    !Number.isNaN(parse(value)) || (role === "stock" && availabilityOf(value) !== undefined);
  return (cell) => (splitCell(cell, false).every(isKnown) ? undefined : role === "stock" ? noStock : message);
}

function checkHeader(header: readonly string[], roles: Reading[number]["as"][]): void {
  const twice = header.find(
    (heading, at) =>
      heading !== "" &&
      roles[at] !== "skip" &&
      header.some(
        (other, before) =>
          before < at && roles[before] !== "skip" && spelling(other).toLowerCase() === spelling(heading).toLowerCase(),
      ),
  );
  if (twice !== undefined) {
    throw new CatalogueError({
      row: 1,
      column: twice,
      message: "This heading appears twice. Rename one of the two columns.",
    });
  }
  for (const column of knownColumns) {
    if (roles.filter((role) => role === column).length > 1) {
      throw new CatalogueError({ row: 1, message: `Two columns are used as “${column}”. Choose one.` });
    }
  }
}
