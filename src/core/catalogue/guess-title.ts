import { dayOrders } from "./days.ts";
import { parseDay, parseNumber } from "./field-kinds.ts";
import { identity } from "./identity.ts";
import { isNumberWith } from "./reading.ts";
import type { ColumnMapping, Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

/** The meanings of columns that can still name a product to people. */
const naming: ReadonlySet<ColumnMapping["as"]> = new Set(["title", "type", "brand", "attribute"]);
/** Words of headings that names stand under. Common practice, no source. */
const heads =
  /\b(?:names?|titles?|titel|bezeichnung|produktname|nom|titre|nombre|título|titulo|naam|nome|titolo|label|model)\b/i;
const looked = 400;
/** Length in characters beyond which a text says more than a name. */
const longest = 90;

/**
 * The column that names things best: words rather than numbers, days or addresses, on most rows, and different
 * from row to row. A heading that speaks of names counts as much as half of that.
 * @returns its place; -1 when no column holds words
 */
export function guessTitle({ header, records }: Pick<Table, "header" | "records">, reading: Reading): number {
  const sample = records.slice(0, looked);
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
    // Of two that are as good, the one that stands first.
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
