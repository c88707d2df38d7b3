import type { Column } from "./catalogue.ts";
import type { Field } from "./field.ts";
import { isNumeric, toNumber } from "./field-kinds.ts";
import { naturalOrder } from "./value-order.ts";

/**
 * Each spelling's sort position: its number for numbers and dates (NaN if it isn't one), its rank by name otherwise.
 * Comparing the few distinct texts once is far cheaper than comparing rows.
 */
export function valuePlaces(field: Field, { spellings }: Column, locale = "en"): Float64Array {
  if (isNumeric(field)) return Float64Array.from(spellings, (text) => toNumber(text, field.kind));
  const byName = naturalOrder(spellings, locale);
  const compare = (a: number, b: number) => byName(spellings[a] ?? "", spellings[b] ?? "");
  const order = spellings.map((_, code) => code).sort(compare);
  const places = new Float64Array(spellings.length);
  order.forEach((code, at) => {
    const before = order[at - 1];
    places[code] = before !== undefined && compare(before, code) === 0 ? (places[before] ?? at) : at;
  });
  return places;
}

/**
 * Sorts record indices by keys, ascending or descending; records with a NaN key come last either way, and ties keep
 * their order.
 */
export function orderBy(records: Uint32Array, keys: readonly { of: Float64Array; down: boolean }[]): Uint32Array {
  const order = Uint32Array.from(records.keys());
  order.sort((a, b) => {
    for (const { of, down } of keys) {
      const [x, y] = [of[a] ?? Number.NaN, of[b] ?? Number.NaN];
      const difference =
        Number.isNaN(x) || Number.isNaN(y)
          ? Number(Number.isNaN(x)) - Number(Number.isNaN(y))
          : (x - y) * (down ? -1 : 1);
      if (difference !== 0) return difference;
    }
    return a - b;
  });
  return order.map((at) => records[at] ?? 0);
}
