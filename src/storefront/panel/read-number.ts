/** The separators of numbers in a language. Source: CLDR, through `Intl`. */
function marksOf(language: string): { group: string; decimal: string } {
  const parts = new Intl.NumberFormat(language).formatToParts(12_345.6);
  const mark = (type: string) => parts.find((part) => part.type === type)?.value ?? "";
  return { group: mark("group"), decimal: mark("decimal") };
}

/**
 * A number as a shopper types or copies it: with the language's separators, a currency, and the field's own words
 * around it. NaN for anything else, such as another unit.
 * @param around words allowed before or after it: a unit, a prefix, a suffix
 */
export function readNumber(text: string, language: string, around: readonly string[] = []): number {
  const { group, decimal } = marksOf(language);
  let bare = text.normalize("NFKC").trim();
  for (const word of around) bare = bare.replace(word.trim(), "");
  bare = bare.replace(/\p{Sc}|\b[A-Z]{3}\b|[\s\u200e\u200f]/gu, "");
  // Converts digits of other scripts.
  bare = bare.replace(/\p{Nd}/gu, (digit) => String(digitOf(digit)));
  // A separator followed by three digits groups thousands if the language uses it so; otherwise it is the decimal
  // mark.
  if (group.trim() !== "") bare = bare.replace(new RegExp(`\\${group}(?=\\d{3}(?:\\D|$))`, "g"), "");
  bare = bare.replace(decimal, ".").replace(",", ".");
  return /^[+-]?(?:\d+(?:\.\d*)?|\.\d+)$/.test(bare) ? Number(bare) : Number.NaN;
}

/** A number for editing: with the language's decimal mark, and no groups. */
export const writeNumber = (value: number, language: string): string =>
  String(value).replace(".", marksOf(language).decimal);

/** Digits of a script are consecutive. Source: The Unicode Standard, 4.6. */
function digitOf(digit: string): number {
  const code = digit.codePointAt(0) ?? 0;
  let zero = code;
  while (code - zero < 9 && /\p{Nd}/u.test(String.fromCodePoint(zero - 1))) zero--;
  return code - zero;
}
