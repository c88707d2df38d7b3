import { mustBeNumber } from "./complete.ts";
import { writtenDay } from "./days.ts";
import { type FieldRole, isDerivedRole, isWholeText, knownRole } from "./field.ts";
import { kindFacts } from "./field-kinds.ts";
import { normalizedPath } from "./levels.ts";
import { convertMeasure } from "./numbers/units.ts";
import type { ColumnMapping, DecimalMark, Reading } from "./reading-schema.ts";

/** Known columns by their own name, whatever the case; everything else is an attribute, unnamed columns are left out. */
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

/** How the cells of a column become cells of the catalogue format: values joined by `|`, plain numbers, ISO days. */
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

/** Symbols that may be around a number: a currency by its sign or its code, or a percent sign. */
const around = String.raw`(?:\p{Sc}|[A-Z]{3}|%)?`;
const numberWith = (group: string, mark: string): RegExp =>
  new RegExp(
    String.raw`^([+-]?)${around}\s?([+-]?)(\d{1,3}(?:[${group}\s'’]\d{3})+|\d+)(?:${mark}(\d+))?(?:,?-)?\s?${around}$`,
    "u",
  );
const grouped: Record<DecimalMark, RegExp> = { ".": numberWith(",", "\\."), ",": numberWith(".", ",") };

/** `1.234,50` with a decimal comma is `1234.50`; a currency or a percent sign is dropped. What is no such number stays as it is. */
export function plainNumber(text: string, decimal: DecimalMark): string {
  const parts = grouped[decimal].exec(text.trim());
  if (!parts) return text;
  const [, sign, inner, whole = "", rest] = parts;
  return `${sign === "-" || inner === "-" ? "-" : ""}${whole.replace(/\D/g, "")}${rest === undefined ? "" : `.${rest}`}`;
}

/** Whether a text is a number when `decimal` is its mark, and only then. */
export const isNumberWith = (text: string, decimal: DecimalMark): boolean => grouped[decimal].test(text.trim());
