import { isPlain } from "../document/is-plain.ts";

/** Token values of format 1 in the present format: the one corner for a count was called “corner”. */
export function olderValues(values: unknown): unknown {
  const place = isPlain(values) ? values["count.place"] : undefined;
  if (!isPlain(values) || !isPlain(place)) return values;
  const named = Object.entries(place).map(([band, value]) => [band, value === "corner" ? "top right" : value]);
  return { ...values, "count.place": Object.fromEntries(named) };
}
