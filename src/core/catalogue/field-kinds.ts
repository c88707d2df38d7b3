import { identity } from "./identity.ts";
import { isCountable } from "./numbers/bounds.ts";
import { isYesOrNo } from "./yes-no.ts";

/** A number line that orders the values of a kind. */
export interface NumberLine {
  /** The position of a value; NaN if it has none. */
  parse(text: string): number;
  /** The value at a position, as written in files, addresses and queries. */
  write(place: number): string;
}

/**
 * Everything the tool needs to know about a kind of field. No other code compares a field's kind with a name; a new
 * kind is an entry in {@link fieldKindFacts} and its words in `field-kind-words.ts`.
 */
export interface FieldKindFacts {
  /**
   * If given, values are counted in ranges and sorted along this line. A field all of whose values have a position on
   * it is of this kind.
   */
  line?: NumberLine;
  /** Positions are years: whole numbers that are never grouped or given a unit. */
  years?: boolean;
  /** Positions are days: shown as dates and picked in a calendar. */
  days?: boolean;
  /** A field is of this kind only if a person or a file's reading says so; it is not inferred from values. */
  told?: boolean;
  /** Values are amounts, with decimals, thousands marks and a unit. */
  amounts?: boolean;
  /** A value includes its upper levels, so that choices combine as a tree. */
  nested?: boolean;
  /** Values are yes or no. A field all of whose values are is of this kind. */
  twoValued?: boolean;
  /** Values are words: they are searched by default. */
  words?: boolean;
  /** Values name colours. */
  colours?: boolean;
}

const number = /^[+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?$/i;
const day = /^(\d{4})-(\d{2})-(\d{2})(?:[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})?)?$/;
const msPerDay = 86_400_000;

/**
 * A number written with a decimal point and no thousands separators; NaN for anything else, and for numbers too large
 * to count with.
 */
export function parseNumber(text: string): number {
  const trimmed = text.trim();
  if (!number.test(trimmed)) return Number.NaN;
  const value = Number(trimmed);
  return isCountable(value) ? value : Number.NaN;
}

/** An ISO 8601 calendar day as days since 1970-01-01; a time after it is ignored; NaN for anything else. */
export function parseDay(text: string): number {
  const parts = day.exec(text.trim());
  if (!parts) return Number.NaN;
  const [year, month, date] = [Number(parts[1]), Number(parts[2]), Number(parts[3])];
  const at = new Date(0);
  at.setUTCFullYear(year, month - 1, date);
  const real = at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === date;
  return real ? Math.round(at.getTime() / msPerDay) : Number.NaN;
}

/** A year of up to four digits, before Christ with a minus sign; NaN for anything else. */
export const parseYear = (text: string): number => (/^-?\d{1,4}$/.test(text.trim()) ? Number(text.trim()) : Number.NaN);

/** Days since 1970-01-01 as `YYYY-MM-DD`. */
export function formatDay(days: number): string {
  return new Date(days * msPerDay).toISOString().slice(0, 10);
}

/** The field kinds. A field is of the first kind that fits all its values, and text if none does. */
export const fieldKindFacts = {
  text: { words: true },
  "yes-no": { twoValued: true },
  number: { amounts: true, line: { parse: parseNumber, write: String } },
  /** Never inferred: only a heading or a person can tell years from other numbers. */
  year: { years: true, told: true, line: { parse: parseYear, write: String } },
  date: { days: true, line: { parse: parseDay, write: formatDay } },
  /** A category whose levels are joined by ` > `. */
  path: { words: true, nested: true },
  /** Text that names colours. */
  colour: { words: true, colours: true },
} satisfies Record<string, FieldKindFacts>;

export type FieldKind = keyof typeof fieldKindFacts;

/** A field, or anything else that has a kind. */
type Kinded = { readonly kind: FieldKind };

/** The facts of a field's kind. */
export const kindFacts = ({ kind }: Kinded): FieldKindFacts => fieldKindFacts[kind];

/** Whether the field's values have positions on a number line. */
export const isNumeric = (field: Kinded): boolean => kindFacts(field).line !== undefined;
/** Whether a value includes its upper levels. */
export const isNested = (field: Kinded): boolean => kindFacts(field).nested === true;
/** Whether the field's values are days. */
export const isDay = (field: Kinded): boolean => kindFacts(field).days === true;
/** Whether the field's values are amounts, with decimals and a unit. */
export const isAmount = (field: Kinded): boolean => kindFacts(field).amounts === true;
/** Whether the field's values are yes or no. */
export const isTwoValued = (field: Kinded): boolean => kindFacts(field).twoValued === true;

/** A value's position on its kind's number line; NaN if it has none. Kinds without a line use plain numbers. */
export const toNumber = (text: string, kind: FieldKind): number =>
  (kindFacts({ kind }).line?.parse ?? parseNumber)(text);
/** The inverse of {@link toNumber}, for addresses and the command line. */
export const fromNumber = (value: number, kind: FieldKind): string =>
  (kindFacts({ kind }).line?.write ?? String)(value);

/** The kind that fits all of the distinct values; text if there are none or they differ. */
export function inferKind(values: readonly string[]): FieldKind {
  if (values.length === 0) return "text";
  const isKind = (name: string): name is FieldKind => Object.hasOwn(fieldKindFacts, name);
  const fits = ({ line, twoValued, told }: FieldKindFacts) =>
    !told &&
    (line
      ? values.every((value) => !Number.isNaN(line.parse(value)))
      : twoValued && values.every((value) => isYesOrNo(identity(value))));
  const found = Object.entries<FieldKindFacts>(fieldKindFacts).find(([, facts]) => fits(facts))?.[0];
  return found !== undefined && isKind(found) ? found : "text";
}
