import type { Column } from "./catalogue.ts";
import type { Field } from "./field.ts";
import { isNumeric, toNumber } from "./field-kinds.ts";

/** Words that have an order of their own. */
interface Series {
  name: "sizes" | "months" | "days";
  words: readonly string[];
}

/** Clothing sizes, in their order. Common practice, no source. */
const sizes: readonly Series[] = [
  { name: "sizes", words: ["xxs", "xs", "s", "m", "l", "xl", "xxl", "xxxl"] },
  { name: "sizes", words: ["extra small", "small", "medium", "large", "extra large"] },
];

/** The result of {@link calendarOf} for English, precomputed: computing it would delay the first page. */
const english: readonly Series[] = [
  {
    name: "months",
    words: "january february march april may june july august september october november december".split(" "),
  },
  { name: "months", words: "jan feb mar apr may jun jul aug sep oct nov dec".split(" ") },
  { name: "days", words: "monday tuesday wednesday thursday friday saturday sunday".split(" ") },
  { name: "days", words: "mon tue wed thu fri sat sun".split(" ") },
];

/** A name for lookup in a series: abbreviations end in a dot in some languages. */
const folded = (name: string): string => name.toLowerCase().replace(/\.$/, "");

/** A language's names of the months and of the days from Monday on, whole and short. Source: CLDR, through Intl. */
export function calendarOf(locale: string): readonly Series[] {
  const names = (name: "months" | "days", part: "month" | "weekday", count: number, day: (at: number) => number) =>
    (["long", "short"] as const).map((length): Series => {
      const format = new Intl.DateTimeFormat(locale, { [part]: length, timeZone: "UTC" });
      return { name, words: Array.from({ length: count }, (_, at) => folded(format.format(day(at)))) };
    });
  return [
    ...names("months", "month", 12, (at) => Date.UTC(2024, at)),
    // The first of January 2024 was a Monday.
    ...names("days", "weekday", 7, (at) => Date.UTC(2024, 0, 1 + at)),
  ];
}

const known = new Map([["en", [...sizes, ...english]]]);

/** All series of a language, and those of English. */
function allSeries(locale: string): readonly Series[] {
  const all = known.get(locale) ?? [...sizes, ...calendarOf(locale), ...english];
  known.set(locale, all);
  return all;
}

const collators = new Map<string, Intl.Collator>();

/** Compares names by the rules of a language; with `numeric`, numbers within names by value: 9 cm before 10 cm. */
export function collatorOf(locale: string, numeric: boolean): Intl.Collator {
  const key = `${locale} ${numeric}`;
  const collator = collators.get(key) ?? new Intl.Collator(locale, { numeric, sensitivity: "base" });
  collators.set(key, collator);
  return collator;
}

/** The series that at least half of the names belong to. */
function seriesOf(names: readonly string[], locale: string): Series | undefined {
  if (names.length < 2) return undefined;
  const keys = names.map(folded);
  return allSeries(locale).find(({ words }) => keys.filter((key) => words.includes(key)).length * 2 >= keys.length);
}

/** The name of the series that some names belong to, or undefined. */
export const seriesName = (names: readonly string[], locale = "en"): Series["name"] | undefined =>
  seriesOf(names, locale)?.name;

/**
 * A natural comparison of names: members of the dominant series first, in series order, the rest by name with numbers
 * by value.
 */
export function naturalOrder(names: readonly string[], locale = "en"): (a: string, b: string) => number {
  const collator = collatorOf(locale, true);
  const words = seriesOf(names, locale)?.words;
  if (!words) return collator.compare;
  const place = (name: string) => {
    const at = words.indexOf(folded(name));
    return at < 0 ? words.length : at;
  };
  return (a, b) => place(a) - place(b) || collator.compare(a, b);
}

/**
 * Each spelling's sort position: its number for numbers and dates (NaN if it isn't one), its rank by name otherwise.
 * Comparing the few distinct texts once is far cheaper than comparing rows.
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

/**
 * Sorts record indices by keys, ascending or descending; records with a NaN key come last either way, and ties keep
 * their order.
 */
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
