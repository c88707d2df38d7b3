import Papa from "papaparse";
import { CatalogueError, type Problem } from "./problem.ts";
import type { Table, TableRecord } from "./table.ts";
import { checkCells, checkHeadings, checkRowCount } from "./table-limits.ts";

const rowsBetweenReports = 5000;

/** A delimited file as a table. */
export interface CsvTable extends Table {
  delimiter: "," | ";" | "\t";
}

/**
 * Reads delimited text (RFC 4180; tab and semicolon are recognised). Empty rows are skipped.
 * @param progress is told the share read so far, from 0 to 1, every few thousand rows
 * @throws CatalogueError if there is no header or a quotation mark is never closed.
 */
export function readCsv(text: string, progress?: (share: number) => void): CsvTable {
  const source = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text;
  if (source.trim() === "")
    throw new CatalogueError({ message: "The file is empty. Choose a CSV file with a header row." });
  const delimiter = guessDelimiter(source);
  const problems: Problem[] = [];
  const records: TableRecord[] = [];
  let header: string[] | undefined;
  let row = 0;
  let broken: Problem | undefined;

  Papa.parse<string[]>(source, {
    delimiter,
    step: ({ data: cells, errors, meta }, parser) => {
      row++;
      if (progress && row % rowsBetweenReports === 0) progress(meta.cursor / source.length);
      const quote = errors.find((error) => error.type === "Quotes");
      if (quote) {
        broken = {
          row,
          message:
            quote.code === "MissingQuotes"
              ? "A quotation mark is opened here and never closed. Close it; to use one inside a value, double it."
              : "This quoted value continues after its closing quotation mark. To use a quotation mark inside a value, double it.",
        };
        parser.abort();
        return;
      }
      // Spreadsheets write empty rows as separators alone.
      if (cells.every((cell) => cell.trim() === "")) return;
      if (!header) {
        header = cells.map((cell) => cell.trim());
        checkHeadings(header);
        return;
      }
      if (cells.length === header.length) {
        checkCells(cells, header, row);
        records.push({ row, cells });
        checkRowCount(records.length, header.length);
        return;
      }
      checkRowCount(problems.length, 1);
      problems.push({
        row,
        message: `This row has ${cells.length} cells and the header has ${header.length}. Quote values that contain a “${shown(delimiter)}”, or fill in the missing cells.`,
      });
    },
  });

  if (broken) throw new CatalogueError(broken);
  if (!header)
    throw new CatalogueError({ message: "The file has no header row. Put the column names in the first row." });
  return { delimiter, header, records, problems };
}

/** The separator that occurs most often in the header row, outside quotes; a comma if none occurs. */
function guessDelimiter(text: string): CsvTable["delimiter"] {
  const counts = { ",": 0, ";": 0, "\t": 0 };
  let quoted = false;
  for (const char of text.trimStart()) {
    if (char === '"') quoted = !quoted;
    else if (quoted) continue;
    else if (char === "\n" || char === "\r") break;
    else if (char in counts) counts[char as keyof typeof counts]++;
  }
  return (["\t", ";", ","] as const).reduce((best, next) => (counts[next] >= counts[best] ? next : best), ",");
}

function shown(delimiter: string): string {
  return delimiter === "\t" ? "tab" : delimiter;
}
