/**
 * Currencies by unambiguous signs; a sign shared by several currencies (“kr”) has none. The dollar and yen signs stand
 * for the most traded currency. Sources: codes ISO 4217, signs CLDR.
 */
const currencySigns: readonly (readonly [sign: string, code: string])[] = [
  ["€", "EUR"],
  ["£", "GBP"],
  ["US$", "USD"],
  ["A$", "AUD"],
  ["C$", "CAD"],
  ["R$", "BRL"],
  ["$", "USD"],
  ["¥", "JPY"],
  ["￥", "JPY"],
  ["円", "JPY"],
  ["元", "CNY"],
  ["zł", "PLN"],
  ["Kč", "CZK"],
  ["₹", "INR"],
  ["₩", "KRW"],
  ["₺", "TRY"],
  ["₴", "UAH"],
  ["₪", "ILS"],
  ["Ft", "HUF"],
  ["lei", "RON"],
  ["Fr.", "CHF"],
  ["ر.س", "SAR"],
  ["د.إ", "AED"],
  ["ج.م", "EGP"],
];

/** Signs that several currencies share: they say that a number is an amount, not of which currency. */
const sharedSigns = ["kr.", "kr"];

/** Codes that occur beside prices; other three-letter words are ignored. Source: ISO 4217. */
const codes = new Set(
  "EUR USD GBP JPY CNY CHF SEK NOK DKK PLN CZK HUF RON AUD CAD NZD BRL MXN INR KRW TRY ZAR SGD HKD AED SAR EGP".split(
    " ",
  ),
);

/** Maximum length of a text that is searched for a currency. */
const longest = 40;

/** The currency mentioned in a text; undefined if none is. */
export function currencyIn(text: string): string | undefined {
  if (text.length > longest) return undefined;
  const code = text
    .toUpperCase()
    .split(/[^A-Z]/)
    .find((word) => codes.has(word));
  return code ?? currencySigns.find(([sign]) => hasSign(text, sign))?.[1];
}

/** Whether a text contains a sign; one that is a word (“lei”) only as a whole word. */
const hasSign = (text: string, sign: string): boolean =>
  /^[a-z]+\.?$/i.test(sign) ? text.split(/[\s\d,.]+/).includes(sign.replace(".", "")) : text.includes(sign);

const escaped = (text: string): string => text.replace(/[$.]/g, "\\$&");

/** The signs and codes that may stand before or after an amount, as part of a regular expression. */
export const currencyPattern = [
  ...[...currencySigns.map(([sign]) => sign), ...sharedSigns].sort((a, b) => b.length - a.length).map(escaped),
  String.raw`\p{Sc}`,
  "[A-Z]{3}",
].join("|");
