import { mustBeNumber } from "./complete.ts";
import { writtenDay } from "./days.ts";
import { type FieldRole, isDerivedRole, isWholeText, knownRole } from "./field.ts";
import { kindFacts } from "./field-kinds.ts";
import { normalizedPath } from "./levels.ts";
import { convertMeasure } from "./numbers/units.ts";
import type { ColumnMapping, DecimalMark, Reading } from "./reading-schema.ts";

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
  decimal = ".",
  dates = "ymd",
  unit,
  levels,
}: ColumnMapping): (cell: string) => string {
  const role = as as FieldRole;
  const whole = isWholeText(role);
  const facts = kind && kindFacts({ kind });
  const isNumber = mustBeNumber.has(role) || facts?.amounts === true || decimal !== ".";
  const isDay = facts?.days === true || dates !== "ymd";
  const value = (text: string) =>
    levels !== undefined
      ? normalizedPath(text, levels)
      : unit !== undefined
        ? (convertMeasure(text, unit) ?? plainNumber(text, decimal))
        : isNumber
          ? plainNumber(text, decimal)
          : isDay
            ? (writtenDay(text, dates) ?? text)
            : text;
  if (levels === " | ") return value;
  if (separator === "|" || whole) {
    if (whole || !(isNumber || isDay || unit !== undefined || levels !== undefined)) return (cell) => cell;
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

/** Symbols allowed around a number: a currency sign or code, or a percent sign. */
const around = String.raw`(?:\p{Sc}|[A-Z]{3}|%)?`;
const numberWith = (group: string, mark: string): RegExp =>
  new RegExp(
    String.raw`^([+-]?)${around}\s?([+-]?)(\d{1,3}(?:[${group}\s'’]\d{3})+|\d+)(?:${mark}(\d+))?(?:,?-)?\s?${around}$`,
    "u",
  );
const grouped: Record<DecimalMark, RegExp> = { ".": numberWith(",", "\\."), ",": numberWith(".", ",") };

/**
 * Converts a number with a decimal mark to a plain one: `1.234,50` becomes `1234.50`; a currency or percent sign is
 * dropped. Any other text is returned unchanged.
 */
export function plainNumber(text: string, decimal: DecimalMark): string {
  const parts = grouped[decimal].exec(text.trim());
  if (!parts) return text;
  const [, sign, inner, whole = "", rest] = parts;
  return `${sign === "-" || inner === "-" ? "-" : ""}${whole.replace(/\D/g, "")}${rest === undefined ? "" : `.${rest}`}`;
}

/** Whether a text is a number only if `decimal` is its decimal mark. */
export const isNumberWith = (text: string, decimal: DecimalMark): boolean => grouped[decimal].test(text.trim());
