import { currencyPattern } from "../currency-signs.ts";

/** The decimal marks that numbers are written with. */
export const decimalMarks = [".", ","] as const;
export type DecimalMark = (typeof decimalMarks)[number];

/** Symbols allowed around a number: a currency sign or code, or a percent sign. */
const around = `(?:${currencyPattern}|%)?`;
const numberWith = (group: string, mark: string): RegExp =>
  new RegExp(
    String.raw`^([+-]?)${around}\s?([+-]?)(\d{1,3}(?:[${group}\s'’]\d{3})+|\d+)(?:${mark}(\d+))?(?:,?-)?\s?${around}$`,
    "u",
  );
const grouped: Record<DecimalMark, RegExp> = { ".": numberWith(",", "\\."), ",": numberWith(".", ",") };

const otherDigits = /[٠-٩۰-۹０-９٫٬−]/g;

/**
 * A text with Arabic, Persian and full-width digits and their marks as ASCII, the minus sign as a hyphen.
 * Source: Unicode, decimal digits U+0660, U+06F0 and U+FF10; Arabic decimal and thousands separators U+066B and U+066C.
 */
export const asciiDigits = (text: string): string =>
  text.replace(otherDigits, (char) => {
    if (char === "٫") return ".";
    if (char === "٬") return ",";
    if (char === "−") return "-";
    const point = char.charCodeAt(0);
    return String(point - (point >= 0xff10 ? 0xff10 : point >= 0x6f0 ? 0x6f0 : 0x660));
  });

/**
 * Converts a number with a decimal mark to a plain one: `1.234,50` becomes `1234.50`; a currency or percent sign is
 * dropped. Any other text is returned unchanged.
 */
export function plainNumber(text: string, decimal: DecimalMark): string {
  const parts = grouped[decimal].exec(asciiDigits(text.trim()));
  if (!parts) return text;
  const [, sign, inner, whole = "", rest] = parts;
  return `${sign === "-" || inner === "-" ? "-" : ""}${whole.replace(/\D/g, "")}${rest === undefined ? "" : `.${rest}`}`;
}

/** Whether a text is a number only if `decimal` is its decimal mark. */
export const isNumberWith = (text: string, decimal: DecimalMark): boolean =>
  grouped[decimal].test(asciiDigits(text.trim()));
