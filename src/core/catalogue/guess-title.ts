import { dayOrders } from "./days.ts";
import { parseDay, parseNumber } from "./field-kinds.ts";
import { identity } from "./identity.ts";
import { isNumberWith } from "./numbers/plain-number.ts";
import type { ColumnMapping, Reading } from "./reading-schema.ts";
import { spreadSample } from "./sample.ts";
import type { Table } from "./table.ts";

/** Column roles that may still serve as the title. */
const naming: ReadonlySet<ColumnMapping["as"]> = new Set(["title", "category", "type", "brand", "attribute"]);
/** Words in headings of columns with names. Common practice, no source. */
const heads =
  /\b(?:names?|titles?|titel|bezeichnung|produktname|nom|titre|nombre|título|titulo|naam|nome|titolo|label|model)\b/i;
const looked = 400;
/** Length in characters beyond which a text is more than a name. */
const longest = 90;

/**
 * The column most likely to hold product titles: words rather than numbers, days or addresses, in most rows, and
 * different from row to row. A heading that suggests names counts half as much as that.
 * @returns its index; -1 if no column holds words
 */
export function guessTitle({ header, records }: Pick<Table, "header" | "records">, reading: Reading): number {
  const sample = spreadSample(records, looked);
  let best = { at: -1, score: 0 };
  reading.forEach(({ as }, at) => {
    if (!naming.has(as)) return;
    const cells = sample.map(({ cells: row }) => row[at]?.trim() ?? "").filter((cell) => cell !== "");
    const named = cells.filter(isName).length;
    if (named === 0) return;
    const distinct = new Set(cells.map(identity)).size / cells.length;
    const score =
      (named / sample.length) * (0.2 + 0.8 * distinct) +
      (heads.test((header[at] ?? "").replaceAll(/[_-]/g, " ")) ? 0.5 : 0);
    // On a tie the first column wins.
    if (score > best.score + 1e-9) best = { at, score };
  });
  return best.at;
}

const isName = (cell: string): boolean =>
  /\p{L}{2}/u.test(cell) &&
  cell.length <= longest &&
  !/^(?:https?:|\/|www\.|[^\s@]{1,64}@[^\s@]{1,200}\.)/i.test(cell) &&
  Number.isNaN(parseNumber(cell)) &&
  Number.isNaN(parseDay(cell)) &&
  !isNumberWith(cell, ",") &&
  dayOrders(cell) === undefined;
