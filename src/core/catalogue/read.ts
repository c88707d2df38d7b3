import { assembleCatalogue, mustBeNumber, type SourceProduct } from "./assemble.ts";
import type { Catalogue } from "./catalogue.ts";
import { readCsv } from "./csv.ts";
import { decodeText } from "./decode.ts";
import { type Field, fieldKey, type KnownColumn, knownColumns, knownRole, roleNames } from "./field.ts";
import { identity, spelling } from "./identity.ts";
import { looksLikeJson, readJson } from "./json.ts";
import { CatalogueError, type Problem } from "./problem.ts";
import type { Table } from "./table.ts";
import { parseNumber } from "./values.ts";

/** Most rows that a catalogue may have. */
export const maxRows = 150_000;

/** For each heading of a file, in order: the known column that it is, an attribute, or left out. */
export type Mapping = (KnownColumn | "attribute" | "skip")[];

export interface ReadOptions {
  /** Defaults to {@link guessMapping}. */
  mapping?: Mapping;
  /** Columns without which the file is refused. Default: `product_id` and `title`. */
  required?: readonly KnownColumn[];
  /** Fields of the shop's present catalogue: a column that is one of them keeps its key, so that panels keep their facets. */
  known?: readonly Field[];
}

export interface ReadResult {
  catalogue: Catalogue;
  /** What was read, cell by cell, for storing; see {@link assembleCatalogue}. */
  products: SourceProduct[];
  /** Rows that were left out and values that could not be used, in the file's order. */
  problems: Problem[];
}

/** Reads a catalogue file: bytes to catalogue. See {@link readTable} and {@link buildCatalogue} for what is thrown. */
export function readCatalogue(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  return buildCatalogue(readTable(bytes), options);
}

/** A file of any known format as a table; which one it is, is told by its text. @throws CatalogueError */
export function readTable(bytes: Uint8Array): Table {
  const text = decodeText(bytes);
  return looksLikeJson(text) ? readJson(text) : readCsv(text);
}

/** Known columns by their own name, whatever the case; everything else is an attribute, unnamed columns are left out. */
export function guessMapping(header: readonly string[]): Mapping {
  const seen = new Set<string>();
  return header.map((heading) => {
    if (heading === "") return "skip";
    const role = knownRole(heading);
    if (!role || role === "availability" || role === "on_sale" || seen.has(role)) return "attribute";
    seen.add(role);
    return role;
  });
}

/**
 * Gathers a table's rows into products and codes its columns.
 * @throws CatalogueError when a required column is missing, a heading stands twice, there are too many rows, or none can be used.
 */
export function buildCatalogue(table: Table, { mapping, required, known = [] }: ReadOptions = {}): ReadResult {
  const roles = mapping ?? guessMapping(table.header);
  checkHeader(table.header, roles, required ?? ["product_id", "title"]);
  if (table.records.length > maxRows) {
    throw new CatalogueError({
      row: table.records[maxRows].row,
      message: `The file has ${table.records.length.toLocaleString("en")} rows and ${maxRows.toLocaleString("en")} is the most. Split it, or leave out products that are not for sale.`,
    });
  }

  const problems = [...table.problems];
  const idAt = roles.indexOf("product_id");
  const order: string[] = [];
  const rowsOf = new Map<string, Table["records"]>();
  for (const record of table.records) {
    const id = record.cells[idAt].trim();
    if (id === "") {
      problems.push({
        row: record.row,
        column: table.header[idAt],
        message: "The product id is empty, so this row was left out. Give it the id of its product.",
      });
      continue;
    }
    const rows = rowsOf.get(id);
    if (rows) rows.push(record);
    else {
      rowsOf.set(id, [record]);
      order.push(id);
    }
  }
  if (order.length === 0) {
    throw new CatalogueError(problems[0] ?? { row: 1, message: "There are no products below the header row. Bring a file with at least one." });
  }

  const kept = table.header.map((_, at) => at).filter((at) => roles[at] !== "skip");
  const records = order.flatMap((id) => rowsOf.get(id) ?? []);
  const taken = new Set(known.map(({ key }) => key));
  const fields = kept.map((at): Field => {
    const role = roles[at] as Field["role"];
    const heading = table.header[at];
    const old = known.find((field) => field.role === role && (role !== "attribute" || identity(field.name) === identity(heading)));
    const key = old?.key ?? fieldKey(role === "attribute" ? heading : role, taken);
    taken.add(key);
    if (mustBeNumber.has(role)) problems.push(...notNumbers(records, at, heading));
    return { key, name: role === "attribute" ? spelling(heading) : roleNames[role], role, kind: "text" };
  });
  const products = order.map((id) => ({ id, rows: (rowsOf.get(id) ?? []).map(({ cells }) => kept.map((at) => cells[at])) }));
  const catalogue = assembleCatalogue(fields, products);
  problems.sort((a, b) => (a.row ?? 0) - (b.row ?? 0));
  return { catalogue, products, problems };
}

function notNumbers(records: Table["records"], at: number, heading: string): Problem[] {
  return records
    .filter(({ cells }) => cells[at].trim() !== "" && Number.isNaN(parseNumber(cells[at])))
    .map(({ row, cells }) => ({
      row,
      column: heading,
      value: cells[at],
      message: "This is not a plain number, so it counts as not stated. Write it like 1234.50, without marks for thousands or a currency.",
    }));
}

function checkHeader(header: readonly string[], roles: Mapping, required: readonly KnownColumn[]): void {
  const missing = required.filter((column) => !roles.includes(column));
  if (missing.length > 0 || !roles.includes("product_id")) {
    const names = missing.length > 0 ? missing : ["product_id"];
    throw new CatalogueError({
      row: 1,
      message: `There is no column ${names.map((name) => `“${name}”`).join(" and no column ")}. Rename the heading that holds it, or choose the column for it. Found: ${header.join(", ")}.`,
    });
  }
  const twice = header.find(
    (heading, at) =>
      heading !== "" &&
      roles[at] !== "skip" &&
      header.some((other, before) => before < at && roles[before] !== "skip" && spelling(other).toLowerCase() === spelling(heading).toLowerCase()),
  );
  if (twice !== undefined) {
    throw new CatalogueError({ row: 1, column: twice, message: "This heading stands twice. Rename one of the two columns." });
  }
  for (const column of knownColumns) {
    if (roles.filter((role) => role === column).length > 1) {
      throw new CatalogueError({ row: 1, message: `Two columns are used as “${column}”. Choose one.` });
    }
  }
}
