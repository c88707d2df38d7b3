import type { Field } from "../../core/catalogue/field.ts";
import { formatDay, kindFacts } from "../../core/catalogue/field-kinds.ts";
import type { FacetSettings } from "../../core/settings/settings.ts";

const kept = new Map<string, Intl.NumberFormat>();

function numberFormat(locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const name = locale + JSON.stringify(options);
  let format = kept.get(name);
  if (!format) {
    format = new Intl.NumberFormat(locale, options);
    kept.set(name, format);
  }
  return format;
}

/** An amount in a currency, with the currency's decimals unless it is whole or `decimals` is given. */
export function money(amount: number, currency: string, locale = "en", decimals: number | null = null): string {
  const digits =
    decimals === null
      ? { trailingZeroDisplay: "stripIfInteger" }
      : { minimumFractionDigits: decimals, maximumFractionDigits: decimals };
  return numberFormat(locale, { style: "currency", currency, ...digits } as Intl.NumberFormatOptions).format(amount);
}

type Affixes = Pick<FacetSettings, "prefix" | "suffix" | "decimals">;
const plain: Affixes = { prefix: "", suffix: "", decimals: null };

/**
 * A formatter for a field's numbers: money, a day, or a plain number with its unit; with a facet's own prefix, suffix
 * and decimals.
 */
export function formatterOf(
  field: Field,
  currency: string,
  { prefix, suffix, decimals }: Affixes = plain,
  locale = "en",
): (value: number) => string {
  const { line, days, amounts } = kindFacts(field);
  if (days) {
    const format = new Intl.DateTimeFormat(locale, {
      day: "numeric",
      month: "short",
      year: "numeric",
      timeZone: "UTC",
    });
    return (value) => format.format(new Date(formatDay(value)));
  }
  if (line && !amounts) return (value) => `${prefix}${line.write(value)}${suffix}`;
  // A prefix replaces the currency; a suffix doesn't.
  if ((field.role === "price" || field.role === "list_price") && prefix === "")
    return (value) => `${money(value, currency, locale, decimals)}${suffix}`;
  const digits =
    decimals === null
      ? { maximumFractionDigits: 2 }
      : { minimumFractionDigits: decimals, maximumFractionDigits: decimals };
  const format = numberFormat(locale, digits);
  const behind = prefix !== "" || suffix !== "" ? suffix : field.unit ? ` ${field.unit}` : "";
  return (value) => `${prefix}${format.format(value)}${behind}`;
}
