import type { Catalogue } from "./catalogue.ts";
import { toNumber } from "./values.ts";

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: "base" });

/**
 * Variants ordered by the first value that they state for a field: numbers and dates by size, the rest by
 * name with numbers in it by size. Those that state none come last either way; equal ones keep their order.
 */
export function orderVariants(catalogue: Catalogue, key: string, variants: Uint32Array, down: boolean): Uint32Array {
  const field = catalogue.fields.find((one) => one.key === key);
  const column = catalogue.columns.get(key);
  if (!field || !column) return variants;
  const { spellings, starts, codes } = column;
  const numeric = field.kind === "number" || field.kind === "date";
  const places = numeric ? spellings.map((text) => toNumber(text, field.kind)) : ranks(spellings);
  const placeOf = (variant: number) => (starts[variant] === starts[variant + 1] ? Number.NaN : places[codes[starts[variant]]]);
  const keys = Float64Array.from(variants, placeOf);
  const order = Uint32Array.from(variants.keys());
  const sign = down ? -1 : 1;
  order.sort((a, b) => {
    const [x, y] = [keys[a], keys[b]];
    if (Number.isNaN(x) || Number.isNaN(y)) return Number(Number.isNaN(x)) - Number(Number.isNaN(y)) || a - b;
    return (x - y) * sign || a - b;
  });
  return order.map((at) => variants[at]);
}

/** Each spelling's place by name. Comparing the few distinct texts once is far cheaper than comparing rows. */
function ranks(spellings: readonly string[]): number[] {
  const order = spellings.map((_, code) => code).sort((a, b) => collator.compare(spellings[a], spellings[b]));
  const places = new Array<number>(spellings.length);
  order.forEach((code, at) => {
    const before = order[at - 1];
    places[code] = before !== undefined && collator.compare(spellings[before], spellings[code]) === 0 ? places[before] : at;
  });
  return places;
}
