import type { FieldKind } from "./field.ts";
import { identity, spelling } from "./identity.ts";
import { isCountable } from "./numbers/bounds.ts";
import { isYesOrNo } from "./yes-no.ts";

const number = /^[+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?$/i;
const day = /^(\d{4})-(\d{2})-(\d{2})(?:[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})?)?$/;
const msPerDay = 86_400_000;

/** A number written with a decimal point and no thousands marks; NaN for anything else, and for one too large to count with. */
export function parseNumber(text: string): number {
  const trimmed = text.trim();
  if (!number.test(trimmed)) return Number.NaN;
  const value = Number(trimmed);
  return isCountable(value) ? value : Number.NaN;
}

/** An ISO 8601 calendar day, a time behind it allowed and left out, as days since 1970-01-01; or NaN. */
export function parseDay(text: string): number {
  const parts = day.exec(text.trim());
  if (!parts) return Number.NaN;
  const [year, month, date] = [Number(parts[1]), Number(parts[2]), Number(parts[3])];
  const at = new Date(0);
  at.setUTCFullYear(year, month - 1, date);
  const real = at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === date;
  return real ? Math.round(at.getTime() / msPerDay) : Number.NaN;
}

/** Days since 1970-01-01 as `YYYY-MM-DD`. */
export function formatDay(days: number): string {
  return new Date(days * msPerDay).toISOString().slice(0, 10);
}

/** A value on its field's number line: days for dates, the number itself otherwise; NaN when it has no place there. */
export function toNumber(text: string, kind: FieldKind): number {
  return kind === "date" ? parseDay(text) : parseNumber(text);
}

/** The other way round of {@link toNumber}, for addresses and the command line. */
export function fromNumber(value: number, kind: FieldKind): string {
  return kind === "date" ? formatDay(value) : String(value);
}

/** The values of one cell: parted at `|` unless the cell is one whole text; empty ones are not stated. */
export function splitCell(cell: string, whole: boolean): string[] {
  if (whole || !cell.includes("|")) {
    const only = spelling(cell);
    return only === "" ? [] : [only];
  }
  return cell
    .split("|")
    .map(spelling)
    .filter((value) => value !== "");
}

/** The kind that all of the distinct values share; text when there are none or they differ. */
export function inferKind(values: readonly string[]): FieldKind {
  if (values.length === 0) return "text";
  if (values.every((value) => isYesOrNo(identity(value)))) return "yes-no";
  if (values.every((value) => !Number.isNaN(parseNumber(value)))) return "number";
  if (values.every((value) => !Number.isNaN(parseDay(value)))) return "date";
  return "text";
}
