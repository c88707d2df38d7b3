import { mustBeNumber } from "./complete.ts";
import { writtenDay, yearIn } from "./days.ts";
import { type FieldRole, isDerivedRole, isWholeText, knownRole } from "./field.ts";
import { kindFacts } from "./field-kinds.ts";
import { normalizedPath } from "./levels.ts";
import { plainNumber } from "./numbers/plain-number.ts";
import { convertMeasure } from "./numbers/units.ts";
import type { ColumnMapping, Reading } from "./reading-schema.ts";
import { yesOrNoOf } from "./yes-no.ts";

/**
 * Recognises known columns by name, ignoring case; everything else is an attribute, and unnamed columns are ignored.
 */
export function plainReading(header: readonly string[]): Reading {
  const seen = new Set<string>();
  return header.map((heading): ColumnMapping => {
    if (heading === "") return { as: "skip" };
    const role = knownRole(heading);
    if (!role || isDerivedRole(role) || seen.has(role)) return { as: "attribute" };
    seen.add(role);
    return { as: role };
  });
}

/**
 * Returns a function that converts cells of a column to the catalogue format: values joined by `|`, plain numbers, ISO
 * days.
 */
export function cellReader({
  as,
  kind,
  separator = "|",
  decimal: mark,
  dates = "ymd",
  unit,
  levels,
}: ColumnMapping): (cell: string) => string {
  const role = as as FieldRole;
  const decimal = mark ?? ".";
  const whole = isWholeText(role);
  const facts = kind && kindFacts({ kind });
  const isNumber = mustBeNumber.has(role) || facts?.amounts === true || decimal !== ".";
  const isDay = facts?.days === true || dates !== "ymd";
  const read = facts?.twoValued ? yesOrNoOf : facts?.years ? (text: string) => yearIn(text, dates) : undefined;
  const value = (text: string) => {
    if (levels !== undefined) return normalizedPath(text, levels);
    if (unit !== undefined) return convertMeasure(text, unit, mark) ?? plainNumber(text, decimal);
    if (isNumber) return plainNumber(text, decimal);
    if (read) return read(text);
    return isDay ? (writtenDay(text, dates) ?? text) : text;
  };
  if (levels === " | ") return value;
  if (separator === "|" || whole) {
    if (whole || !(isNumber || isDay || read || unit !== undefined || levels !== undefined)) return (cell) => cell;
    return (cell) => (cell.includes("|") ? cell.split("|").map(value).join("|") : value(cell));
  }
  // A `|` within a value must not separate it once values are joined by “|”.
  if (separator === "") return (cell) => value(cell.replaceAll("|", "/"));
  return (cell) =>
    cell
      .split(separator)
      .map((part) => value(part.replaceAll("|", "/")))
      .join("|");
}

/** Index of the column that the products' titles come from; -1 if there is none. */
export const titleColumn = (reading: Reading): number =>
  reading.findIndex(({ as, titles }) => as === "title" || titles);
