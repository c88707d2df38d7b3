import { asciiDigits } from "./numbers/plain-number.ts";
import type { DateOrder } from "./reading-schema.ts";

/** Languages in which month names are recognised. */
const languages = ["en", "de", "fr", "es", "it", "nl", "pt", "sv", "da", "pl", "cs", "tr", "ar"];

const plain = (text: string): string => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase().replace(/\.$/, "");

/** Months by their names, whole and short. Source: CLDR, through `Intl`. */
const months: ReadonlyMap<string, number> = new Map(
  languages.flatMap((language) =>
    (["long", "short"] as const).flatMap((month) =>
      (["dated", "alone"] as const).flatMap((use) => {
        const format = new Intl.DateTimeFormat(language, {
          month,
          timeZone: "UTC",
          ...(use === "dated" ? { day: "numeric" } : {}),
        });
        return Array.from({ length: 12 }, (_, m): [string, number] => {
          const parts = format.formatToParts(new Date(Date.UTC(2026, m, 15)));
          return [plain(parts.find(({ type }) => type === "month")?.value ?? ""), m + 1];
        }).filter(([name]) => /\p{L}/u.test(name));
      }),
    ),
  ),
);

/** Names of weekdays, whole and short. Source: CLDR, through `Intl`. */
const weekdayNames = (): ReadonlySet<string> =>
  new Set(
    [...languages, "ja", "zh"].flatMap((language) =>
      (["long", "short"] as const).flatMap((weekday) => {
        const format = new Intl.DateTimeFormat(language, { weekday, timeZone: "UTC" });
        // 4 January 2026 is a Sunday.
        return Array.from({ length: 7 }, (_, d) => format.format(new Date(Date.UTC(2026, 0, 4 + d)))).flatMap((name) =>
          name.split("-").map(plain),
        );
      }),
    ),
  );

/** Made when a day is first read: most starts read none. */
let weekdays: ReadonlySet<string> | undefined;

function isWeekday(word: string): boolean {
  weekdays ??= weekdayNames();
  return weekdays.has(plain(word));
}

/** Whether a word around a day adds nothing. */
const isIdle = (word: string): boolean =>
  ["de", "of", "den"].includes(word) || (isWeekday(word) && !months.has(plain(word)));

/** Maximum length of a day written with its time: weekday, month and time zone in full. */
const longest = 80;
/** A time of day with its zone. */
const time =
  /^\d{1,2}:\d{2}(?::\d{2}(?:[.,]\d{1,9})?)? ?(?:[ap]\.?m\.?|[صم])? ?(?:Z|(?:UTC|GMT)?[+-]\d{1,2}(?::?\d{2})?|[A-Z]{3,4})?$/iu;
/** Words between a day and its time, like “at” and “a las”. */
const maxBefore = 2;

/** A day without the time of day behind it, which is ignored. */
function withoutTime(text: string): string {
  const at = text.search(/\d{1,2}:\d{2}/);
  if (at < 1 || !time.test(text.slice(at))) return text;
  const words = text
    .slice(0, at)
    .replace(/T$/, "")
    .split(" ")
    .filter((word) => word !== "");
  const isBetween = (word: string | undefined): boolean =>
    word !== undefined && /^[\p{L}.]+$/u.test(word) && !months.has(plain(word));
  for (let n = 0; n < maxBefore && isBetween(words.at(-1)); n++) words.pop();
  const day = words.join(" ");
  return day.endsWith(",") ? day.slice(0, -1) : day;
}

const numbers = /^(\d{1,4})(?:[./-] ?| )(\d{1,2})(?:[./-] ?| )(\d{1,4})\.?$/;

/** A day with the words for year, month and day. Source: CLDR, long dates of ja and zh. */
const eastAsian = /^(\d{4})年\s?(\d{1,2})月\s?(\d{1,2})日/;

interface Parts {
  /** The three numbers as written, or with the month recognised by name. */
  first: string;
  second: string;
  third: string;
  month?: number;
}

/** Splits a text into the parts of a day; undefined if it isn't one. */
function partsOf(text: string): Parts | undefined {
  if (text.length > longest) return undefined;
  const plainText = asciiDigits(text.trim()).replace(eastAsian, "$1-$2-$3 ");
  const day = withoutTime(plainText.replace(/\s+/g, " ").trim());
  const spoken = day.split(/[\s,،]/u).filter((word) => word !== "");
  const busy = spoken.filter((word) => !isIdle(word));
  const counted = numbers.exec(busy.length < spoken.length ? busy.join(" ") : day);
  if (counted) return { first: counted[1] ?? "", second: counted[2] ?? "", third: counted[3] ?? "" };
  const words = busy
    .flatMap((word) => word.split(/[./-]/))
    .map((word) => word.replace(/^(\d{1,4})(?:st|nd|rd|th|:?er?|º)$/u, "$1"))
    .filter((word) => word !== "" && !isIdle(word));
  // “mar” is a Tuesday and March in several languages: before a day with its month it is the weekday.
  if (words.length === 4 && isWeekday(words[0] ?? "")) words.shift();
  if (words.length !== 3) return undefined;
  const at = words.findIndex((word) => months.has(plain(word)));
  const rest = words.filter((_, place) => place !== at);
  const [first = "", third = ""] = rest;
  const month = months.get(plain(words[at] ?? ""));
  if (month === undefined || !rest.every((word) => /^\d{1,4}$/.test(word))) return undefined;
  return { first, second: "", third, month };
}

/** Two-digit years: 69 to 99 are in the last century. Source: POSIX, strptime, %y. */
const fullYear = (year: string): string =>
  year.length > 2 ? year.padStart(4, "0") : String(Number(year) + (Number(year) < 69 ? 2000 : 1900));

const iso = (year: string, month: number | string, day: string): string | undefined =>
  Number(month) >= 1 && Number(month) <= 12 && Number(day) >= 1 && Number(day) <= 31
    ? `${fullYear(year)}-${String(month).padStart(2, "0")}-${day.padStart(2, "0")}`
    : undefined;

/**
 * A day as `YYYY-MM-DD`, from any usual notation: with the month as a number in the given order, or as a word in any
 * order; a time of day, a weekday and a zone are ignored. Undefined if the text is not a day.
 */
export function writtenDay(text: string, order: DateOrder): string | undefined {
  const parts = partsOf(text);
  if (!parts) return undefined;
  const { first, second, third, month } = parts;
  if (month !== undefined) return first.length > 2 ? iso(first, month, third) : iso(third, month, first);
  // A leading four-digit number can only be the year.
  if (first.length > 2) return iso(first, second, third);
  if (order === "ymd") return undefined;
  return order === "dmy" ? iso(third, second, first) : iso(third, first, second);
}

/** The year of a day in any usual notation, as text; any other text unchanged. */
export const yearIn = (text: string, order: DateOrder): string =>
  /^\d{1,4}$/.test(text.trim()) ? text.trim() : (writtenDay(text, order)?.slice(0, 4) ?? text);

/** The orders in which a text's numbers could be a day; undefined if it isn't a day or its order is unambiguous. */
export function dayOrders(text: string): { ymd: boolean; dmy: boolean; mdy: boolean } | undefined {
  const parts = partsOf(text);
  if (!parts) return undefined;
  // With a month name or a leading year there is only one reading.
  if (parts.month !== undefined || parts.first.length > 2) {
    const read = writtenDay(text, "ymd") !== undefined;
    return read ? { ymd: true, dmy: true, mdy: true } : undefined;
  }
  // “1.2.3” may just as well be a version; a year has two digits or four.
  if (parts.third.length !== 2 && parts.third.length !== 4) return undefined;
  return { ymd: false, dmy: writtenDay(text, "dmy") !== undefined, mdy: writtenDay(text, "mdy") !== undefined };
}
