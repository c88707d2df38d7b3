import { isPlain } from "../document/is-plain.ts";

/** Values of tokens as format 1 of looks had them: the one corner that a count could stand in was called “corner”. */
export function olderValues(values: unknown): unknown {
  const place = isPlain(values) ? values["count.place"] : undefined;
  if (!isPlain(values) || !isPlain(place)) return values;
  const named = Object.entries(place).map(([band, value]) => [band, value === "corner" ? "top right" : value]);
  return { ...values, "count.place": Object.fromEntries(named) };
}
