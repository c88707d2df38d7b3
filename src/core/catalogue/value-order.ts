import type { Column } from "./catalogue.ts";
import { type Field, isNumeric } from "./field.ts";
import { toNumber } from "./values.ts";

const months = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const fullMonths = [
  "january",
  "february",
  "march",
  "april",
  "may",
  "june",
  "july",
  "august",
  "september",
  "october",
  "november",
  "december",
];
const days = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];
const fullDays = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];
/** Words that have an order of their own: clothing sizes, months and days of the week. Common practice, no source. */
const series: readonly (readonly string[])[] = [
  ["xxs", "xs", "s", "m", "l", "xl", "xxl", "xxxl"],
  ["extra small", "small", "medium", "large", "extra large"],
  months,
  fullMonths,
  days,
  fullDays,
];

const collators = new Map<string, Intl.Collator>();

/** Compares names as readers of a language do, numbers in them by size: 9 cm before 10 cm. */
export function naturalCollator(locale: string): Intl.Collator {
  let collator = collators.get(locale);
  if (!collator) {
    collator = new Intl.Collator(locale, { numeric: true, sensitivity: "base" });
    collators.set(locale, collator);
  }
  return collator;
}

/** The series that at least half of some names belong to. */
function seriesOf(names: readonly string[]): readonly string[] | undefined {
  return series.find(
    (one) => names.length > 1 && names.filter((name) => one.includes(name.toLowerCase())).length * 2 >= names.length,
  );
}

/** What series some names are of, in a word, or undefined. */
export function seriesName(names: readonly string[]): "sizes" | "months" | "days" | undefined {
  const found = seriesOf(names);
  if (!found) return undefined;
  const at = series.indexOf(found);
  return at < 2 ? "sizes" : at < 4 ? "months" : "days";
}

/**
 * How names of one list are compared naturally: those of a series that most of them are of by their order
 * in it and in front, the rest by name with numbers in it by size.
 */
export function naturalOrder(names: readonly string[], locale = "en"): (a: string, b: string) => number {
  const collator = naturalCollator(locale);
  const known = seriesOf(names);
  if (!known) return collator.compare;
  const place = (name: string) => {
    const at = known.indexOf(name.toLowerCase());
    return at < 0 ? known.length : at;
  };
  return (a, b) => place(a) - place(b) || collator.compare(a, b);
}

/**
 * Each spelling's place in order: its number for numbers and dates (NaN for values that are none), its rank
 * by name for the rest. Comparing the few distinct texts once is far cheaper than comparing rows.
 */
export function valuePlaces(field: Field, { spellings }: Column, locale = "en"): Float64Array {
  if (isNumeric(field)) return Float64Array.from(spellings, (text) => toNumber(text, field.kind));
  const byName = naturalOrder(spellings, locale);
  const compare = (a: number, b: number) => byName(spellings[a] ?? "", spellings[b] ?? "");
  const order = spellings.map((_, code) => code).sort(compare);
  const places = new Float64Array(spellings.length);
  order.forEach((code, at) => {
    const before = order[at - 1];
    places[code] = before !== undefined && compare(before, code) === 0 ? (places[before] ?? at) : at;
  });
  return places;
}

/** Sorts record numbers by keys, rising or falling; records whose key is NaN come last either way, equal ones keep their order. */
export function orderBy(records: Uint32Array, keys: readonly { of: Float64Array; down: boolean }[]): Uint32Array {
  const order = Uint32Array.from(records.keys());
  order.sort((a, b) => {
    for (const { of, down } of keys) {
      const [x, y] = [of[a] ?? Number.NaN, of[b] ?? Number.NaN];
      const difference =
        Number.isNaN(x) || Number.isNaN(y)
          ? Number(Number.isNaN(x)) - Number(Number.isNaN(y))
          : (x - y) * (down ? -1 : 1);
      if (difference !== 0) return difference;
    }
    return a - b;
  });
  return order.map((at) => records[at] ?? 0);
}
