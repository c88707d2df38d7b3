import type { Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

/**
 * Currencies by unambiguous signs; a sign shared by several currencies (“kr”) is left out. The dollar and yen signs
 * stand for the most traded currency. Sources: codes ISO 4217, signs CLDR.
 */
const signs: readonly (readonly [sign: string, code: string])[] = [
  ["€", "EUR"],
  ["£", "GBP"],
  ["A$", "AUD"],
  ["C$", "CAD"],
  ["R$", "BRL"],
  ["$", "USD"],
  ["¥", "JPY"],
  ["円", "JPY"],
  ["元", "CNY"],
  ["zł", "PLN"],
  ["Kč", "CZK"],
  ["₹", "INR"],
  ["₩", "KRW"],
  ["₺", "TRY"],
  ["₴", "UAH"],
  ["₪", "ILS"],
];
/** Codes that occur beside prices; other three-letter words are ignored. */
const codes = new Set(
  "EUR USD GBP JPY CNY CHF SEK NOK DKK PLN CZK HUF RON AUD CAD NZD BRL MXN INR KRW TRY ZAR SGD HKD AED SAR".split(" "),
);
const looked = 400;
const longest = 40;

/** A heading without the currency in it: “price (sek)” is “price”. */
export const withoutCurrency = (heading: string): string =>
  heading
    .split(/[\s()[\]]/)
    .filter((word) => word !== "" && currencyIn(word) === undefined)
    .join(" ");

/** The currency mentioned in a text; undefined if none is. */
function currencyIn(text: string): string | undefined {
  if (text.length > longest) return undefined;
  const code = text
    .toUpperCase()
    .split(/[^A-Z]/)
    .find((word) => codes.has(word));
  return code ?? signs.find(([sign]) => text.includes(sign))?.[1];
}

/**
 * The currency of a file's prices, from their cells, otherwise from their headings.
 * @returns ISO 4217 code; undefined if the file does not say
 */
export function guessCurrency(
  { header, records }: Pick<Table, "header" | "records">,
  reading: Reading,
): string | undefined {
  const places = reading.flatMap(({ as }, at) => (as === "price" || as === "list_price" ? [at] : []));
  const counts = new Map<string, number>();
  for (const { cells } of records.slice(0, looked))
    for (const at of places) {
      const found = currencyIn(cells[at] ?? "");
      if (found) counts.set(found, (counts.get(found) ?? 0) + 1);
    }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most?.[0] ?? places.map((at) => currencyIn((header[at] ?? "").replaceAll("_", " "))).find(Boolean);
}
