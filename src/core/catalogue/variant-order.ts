import type { Catalogue } from "./catalogue.ts";
import { orderBy, valuePlaces } from "./order-by.ts";

/**
 * Sorts variants by the first value that they state for a field: numbers and dates by value, the rest by name with
 * numbers by value. Those without a value come last either way; ties keep their order.
 */
export function orderVariants(catalogue: Catalogue, key: string, variants: Uint32Array, down: boolean): Uint32Array {
  const field = catalogue.fields.find((one) => one.key === key);
  const column = catalogue.columns.get(key);
  if (!field || !column) return variants;
  const { starts, codes } = column;
  const places = valuePlaces(field, column);
  const of = Float64Array.from(variants, (variant) =>
    starts[variant] === starts[variant + 1] ? Number.NaN : (places[codes[starts[variant] ?? 0] ?? 0] ?? Number.NaN),
  );
  return orderBy(variants, [{ of, down }]);
}
