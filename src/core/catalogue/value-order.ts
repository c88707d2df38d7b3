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
const english: readonly Series[] = (
  [
    ["months", "january february march april may june july august september october november december"],
    ["days", "monday tuesday wednesday thursday friday saturday sunday"],
  ] as const
).flatMap(([name, text]) => {
  const words = text.split(" ");
  return [
    { name, words },
    { name, words: words.map((word) => word.slice(0, 3)) },
  ];
});

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
