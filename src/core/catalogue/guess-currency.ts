import { currencyIn } from "./currency-signs.ts";
import { isNumberWith } from "./numbers/plain-number.ts";
import type { Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

const looked = 400;

/** A heading without the currency in it: “price (sek)” is “price”. */
export const withoutCurrency = (heading: string): string =>
  heading
    .split(/[\s()[\]]/)
    .filter((word) => word !== "" && currencyIn(word) === undefined)
    .join(" ");

/** Whether a text is a number with a currency. */
export const isAmountOfMoney = (text: string): boolean =>
  currencyIn(text) !== undefined && (isNumberWith(text, ".") || isNumberWith(text, ","));

/**
 * The currency of a file's prices, or without prices of its amounts: from cells, otherwise from headings.
 * @returns ISO 4217 code; undefined if the file does not say
 */
export function guessCurrency(
  { header, records }: Pick<Table, "header" | "records">,
  reading: Reading,
): string | undefined {
  const priced = reading.flatMap(({ as }, at) => (as === "price" || as === "list_price" ? [at] : []));
  const places = priced.length > 0 ? priced : reading.flatMap(({ as }, at) => (as === "attribute" ? [at] : []));
  const counts = new Map<string, number>();
  for (const { cells } of records.slice(0, looked))
    for (const at of places) {
      const cell = cells[at] ?? "";
      const found = priced.length > 0 || isAmountOfMoney(cell) ? currencyIn(cell) : undefined;
      if (found) counts.set(found, (counts.get(found) ?? 0) + 1);
    }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (most) return most[0];
  // A word in any other heading may be a code by chance, such as “try”; a sign is not.
  const said = (heading: string) => (priced.length > 0 || /\p{Sc}/u.test(heading) ? currencyIn(heading) : undefined);
  return places.map((at) => said((header[at] ?? "").replaceAll("_", " "))).find(Boolean);
}
