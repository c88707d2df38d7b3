import type { Column } from "./catalogue.ts";
import { type Field, isNumeric } from "./field.ts";
import { toNumber } from "./values.ts";

/** Clothing sizes, in their order. Common practice, no source. */
const sizes: readonly (readonly string[])[] = [
  ["xxs", "xs", "s", "m", "l", "xl", "xxl", "xxxl"],
  ["extra small", "small", "medium", "large", "extra large"],
];

const calendars = new Map<string, { months: string[][]; days: string[][] }>();

/** A name as it is looked up in a series: short forms end in a dot in some languages. */
const folded = (name: string): string => name.toLowerCase().replace(/\.$/, "");

/** A language's names of the months and of the days from Monday on, whole and short. Source: CLDR, through Intl. */
function calendarOf(locale: string): { months: string[][]; days: string[][] } {
  let calendar = calendars.get(locale);
  if (!calendar) {
    const names = (count: number, day: (at: number) => number, part: "month" | "weekday") =>
      (["long", "short"] as const).map((length) => {
        const format = new Intl.DateTimeFormat(locale, { [part]: length, timeZone: "UTC" });
        return Array.from({ length: count }, (_, at) => folded(format.format(day(at))));
      });
    // The first of January 2024 was a Monday.
    calendar = {
      months: names(12, (at) => Date.UTC(2024, at), "month"),
      days: names(7, (at) => Date.UTC(2024, 0, 1 + at), "weekday"),
    };
    calendars.set(locale, calendar);
  }
  return calendar;
}

/** Words that have an order of their own, in a language and in English, each with what it is. */
function allSeries(locale: string) {
  const calendars = [...new Set([locale, "en"])].map(calendarOf);
  const named = <N extends string>(name: N, all: readonly (readonly string[])[]) =>
    all.map((words) => ({ name, words }));
  return [
    ...named("sizes", sizes),
    ...calendars.flatMap(({ months, days }) => [...named("months", months), ...named("days", days)]),
  ];
}

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
const seriesOf = (names: readonly string[], locale: string) =>
  names.length < 2
    ? undefined
    : allSeries(locale).find(
        ({ words }) => names.filter((name) => words.includes(folded(name))).length * 2 >= names.length,
      );

/** What series some names are of, in a word, or undefined. */
export const seriesName = (names: readonly string[], locale = "en"): "sizes" | "months" | "days" | undefined =>
  seriesOf(names, locale)?.name;

/**
 * How names of one list are compared naturally: those of a series that most of them are of by their order
 * in it and in front, the rest by name with numbers in it by size.
 */
export function naturalOrder(names: readonly string[], locale = "en"): (a: string, b: string) => number {
  const collator = naturalCollator(locale);
  const known = seriesOf(names, locale)?.words;
  if (!known) return collator.compare;
  const place = (name: string) => {
    const at = known.indexOf(folded(name));
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
