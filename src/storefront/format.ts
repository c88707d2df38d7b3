import type { Field } from "../core/catalogue/field.ts";
import { formatDay } from "../core/catalogue/values.ts";

const locale = "en";
const plain = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
const dates = new Intl.DateTimeFormat(locale, { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });
const monies = new Map<string, Intl.NumberFormat>();

/** An amount in a currency, with its own number of decimals unless the amount is whole. */
export function money(amount: number, currency: string): string {
  let format = monies.get(currency);
  if (!format) {
    format = new Intl.NumberFormat(locale, { style: "currency", currency, trailingZeroDisplay: "stripIfInteger" } as Intl.NumberFormatOptions);
    monies.set(currency, format);
  }
  return format.format(amount);
}

/** How shoppers read numbers of a field: money, a day, or a plain number. */
export function formatterOf(field: Field, currency: string): (value: number) => string {
  if (field.role === "price" || field.role === "list_price") return (value) => money(value, currency);
  if (field.kind === "date") return (value) => dates.format(new Date(formatDay(value)));
  return (value) => plain.format(value);
}
