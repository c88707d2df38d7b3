import { expect, it } from "vitest";
import { guessCurrency } from "./guess-currency.ts";
import { readTable } from "./read.ts";
import { suggestReading } from "./suggest-reading.ts";

const currencyOf = (csv: string) => {
  const table = readTable(new TextEncoder().encode(csv));
  return guessCurrency(table, suggestReading(table));
};

// Source of the codes: ISO 4217. Which sign stands for which: CLDR; the cells are made up.
it.each([
  ["name;price\nA;£5.00\nB;£7.50\n", "GBP"],
  ["name;price\nA;5,00 €\nB;7,50 €\n", "EUR"],
  ["name;price\nA;12,50 zł\nB;9 zł\n", "PLN"],
  ["name;price\nA;CHF 12.50\nB;CHF 9\n", "CHF"],
  ["name;price\nA;C$12.50\nB;C$9\n", "CAD"],
  ["name;price\nA;$12.50\nB;$9\n", "USD"],
  ["name;Price (SEK)\nA;120\nB;90\n", "SEK"],
  ["name;price_eur\nA;120\nB;90\n", "EUR"],
  ["Name;Preis\nA;120\nB;90\n", undefined],
  ["name;price;note\nA;120;costs € 5 to send\n", undefined],
  // Without prices: amounts in cells, then a sign in a heading.
  ["name;deposit;fee\nA;5,00 €;3 €\nB;7,50 €;2 €\n", "EUR"],
  ["name;Cost Total $\nA;120\nB;90\n", "USD"],
  ["name;Try count\nA;120\nB;90\n", undefined],
  ["الاسم;السعر\nورد;١٥٠٫٥ ر.س\nفل;٩٩ ر.س\n", "SAR"],
  ["name;price\nA;120 lei\nB;90 lei\n", "RON"],
  ["name;price\nA;from Leiden 120\nB;90\n", undefined],
])("of %j is %s", (csv, code) => expect(currencyOf(csv)).toBe(code));
