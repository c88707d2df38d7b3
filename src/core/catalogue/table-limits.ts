import { limits, limitText, quotable } from "../sanitize/limits.ts";
import { CatalogueError } from "./problem.ts";

/** @throws CatalogueError if a file has more columns, or longer headings, than allowed */
export function checkHeadings(header: readonly string[]): void {
  if (header.length > limits.columns.max)
    throw new CatalogueError({
      row: 1,
      message: `There are ${header.length.toLocaleString("en")} columns, but at most ${limitText(limits.columns)} are possible. Leave out columns that shoppers don’t need.`,
    });
  const long = header.find((heading) => heading.length > limits.heading.max);
  if (long !== undefined)
    throw new CatalogueError({
      row: 1,
      message: `The heading “${quotable(long, 60)}” has ${long.length.toLocaleString("en")} characters; the limit is ${limitText(limits.heading)}. Check that the first row is the header, or shorten it.`,
    });
}

/** @throws CatalogueError if a file has more rows, or more cells in all, than allowed */
export function checkRowCount(rows: number, columns: number): void {
  const most = Math.min(limits.rows.max, Math.floor(limits.cells.max / Math.max(1, columns)));
  if (rows > most)
    throw new CatalogueError({
      row: most + 2,
      message: `The file has more than ${most.toLocaleString("en")} rows, the most that a catalogue can have${most < limits.rows.max ? ` with ${columns.toLocaleString("en")} columns` : ""}. Split the file, or leave out products that are not for sale.`,
    });
}

/** @throws CatalogueError if a cell is longer than allowed */
export function checkCells(cells: readonly string[], header: readonly string[], row: number): void {
  const at = cells.findIndex((cell) => cell.length > limits.cell.max);
  if (at >= 0)
    throw new CatalogueError({
      row,
      column: quotable(header[at] ?? "", 60),
      message: `This cell has ${(cells[at] ?? "").length.toLocaleString("en")} characters; the limit is ${limitText(limits.cell)}. Shorten it. A missing closing quotation mark can be the cause.`,
    });
}
