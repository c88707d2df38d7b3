import { limits } from "../sanitize/limits.ts";
import type { Problem } from "./problem.ts";
import { checkHeadings, checkRowCount } from "./table-limits.ts";

/** A file's records as rows under headings, whatever its format was. */
export interface Table {
  header: string[];
  records: TableRecord[];
  /** Records that were left out, and why. */
  problems: Problem[];
}

/** One record, with its row as a spreadsheet numbers it (the header is row 1); in JSON the first record is row 2 as well. */
export interface TableRecord {
  row: number;
  cells: string[];
}

/** Joins several values of one cell; the separator is removed from each. */
export const joinValues = (values: readonly string[]): string =>
  values.map((value) => value.replaceAll("|", "/")).join("|");

/** Rows from objects whose keys are headings, in order of first occurrence; the given known ones come first. */
export function tableOf(objects: readonly ReadonlyMap<string, string>[], first: readonly string[] = []): Table {
  const found = new Set<string>();
  for (const object of objects) {
    for (const heading of object.keys()) found.add(heading);
    if (found.size > limits.columns.max) break;
  }
  const known = first.filter((heading) => found.has(heading));
  const header = [...new Set([...known, ...found])];
  checkHeadings(header);
  checkRowCount(objects.length, header.length);
  return {
    header,
    records: objects.map((object, i) => ({ row: i + 2, cells: header.map((heading) => object.get(heading) ?? "") })),
    problems: [],
  };
}
