import { type FieldRole, isWholeText, knownRole } from "./field.ts";
import type { ColumnReading, DateOrder, DecimalMark, Reading } from "./reading-schema.ts";

/** Known columns by their own name, whatever the case; everything else is an attribute, unnamed columns are left out. */
export function plainReading(header: readonly string[]): Reading {
  const seen = new Set<string>();
  return header.map((heading): ColumnReading => {
    if (heading === "") return { as: "skip" };
    const role = knownRole(heading);
    if (!role || role === "availability" || role === "on_sale" || seen.has(role)) return { as: "attribute" };
    seen.add(role);
    return { as: role };
  });
}

/** How the cells of a column become cells of the catalogue format: values joined by `|`, plain numbers, ISO days. */
export function cellReader({
  as,
  separator = "|",
  decimal = ".",
  dates = "ymd",
}: ColumnReading): (cell: string) => string {
  const whole = isWholeText(as as FieldRole);
  const value = (text: string) => plainDay(decimal === "." ? text : plainNumber(text, decimal), dates);
  const plain = decimal === "." && dates === "ymd";
  if (separator === "|" || whole) {
    if (plain) return (cell) => cell;
    return (cell) => (whole ? cell : cell.split("|").map(value).join("|"));
  }
  // What stands in a value must not part it once values are joined by “|”.
  if (separator === "") return (cell) => value(cell.replaceAll("|", "/"));
  return (cell) =>
    cell
      .split(separator)
      .map((part) => value(part.replaceAll("|", "/")))
      .join("|");
}

const grouped: Record<DecimalMark, RegExp> = {
  ".": /^([+-]?)\p{Sc}?\s?(\d{1,3}(?:[,\s'’]\d{3})+|\d+)(?:\.(\d+))?\s?\p{Sc}?$/u,
  ",": /^([+-]?)\p{Sc}?\s?(\d{1,3}(?:[.\s'’]\d{3})+|\d+)(?:,(\d+))?\s?\p{Sc}?$/u,
};

/** `1.234,50` with a decimal comma is `1234.50`; a currency sign is dropped. What is no such number stays as it is. */
export function plainNumber(text: string, decimal: DecimalMark): string {
  const parts = grouped[decimal].exec(text.trim());
  if (!parts) return text;
  const [, sign, whole = "", rest] = parts;
  return `${sign === "-" ? "-" : ""}${whole.replace(/\D/g, "")}${rest === undefined ? "" : `.${rest}`}`;
}

const day = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/;

/** `31.03.2026` in the order day, month, year is `2026-03-31`. What is no such day stays as it is. */
export function plainDay(text: string, order: DateOrder): string {
  const parts = order === "ymd" ? null : day.exec(text.trim());
  if (!parts) return text;
  const [, one = "", two = "", year] = parts;
  const [first, second] = [one.padStart(2, "0"), two.padStart(2, "0")];
  return order === "dmy" ? `${year}-${second}-${first}` : `${year}-${first}-${second}`;
}

/** The order that a text's digits could be written in, when it looks like a day that is not ISO. */
export function dayOrders(text: string): { dmy: boolean; mdy: boolean } | undefined {
  const parts = day.exec(text.trim());
  return parts ? { dmy: Number(parts[2]) <= 12, mdy: Number(parts[1]) <= 12 } : undefined;
}

/** Whether a text is a number when `decimal` is its mark, and only then. */
export const isNumberWith = (text: string, decimal: DecimalMark): boolean => grouped[decimal].test(text.trim());
