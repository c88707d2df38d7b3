import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Field } from "../catalogue/field.ts";
import { isNumeric, toNumber } from "../catalogue/field-kinds.ts";
import { entropy } from "./entropy.ts";

/** Number of parts, each with about as many products, into which numbers are divided before comparing fields. */
const parts = 8;
/** The code of a product without a value. */
export const noValue = -1;

/**
 * A small code for each product's value of a field: the code of its first value, or of its part of the number line;
 * {@link noValue} if it has none.
 */
export function valueCodes(catalogue: Catalogue, field: Field): Int32Array {
  const products = catalogue.productIds.length;
  const said = new Int32Array(products).fill(noValue);
  const column = catalogue.columns.get(field.key);
  if (!column) return said;
  for (let p = 0; p < products; p++) {
    const [from, to] = [catalogue.variantStart[p] ?? 0, catalogue.variantStart[p + 1] ?? 0];
    for (let v = from; v < to && said[p] === noValue; v++) {
      const at = column.starts[v] ?? 0;
      if (at < (column.starts[v + 1] ?? 0)) said[p] = column.codes[at] ?? noValue;
    }
  }
  if (!isNumeric(field)) return said;
  return inParts(
    said,
    column.spellings.map((text) => toNumber(text, field.kind)),
  );
}

/** Codes of numbers by their part of the number line; other values have none. */
function inParts(said: Int32Array, values: readonly number[]): Int32Array {
  const uses = new Uint32Array(values.length);
  let total = 0;
  for (const code of said) {
    if (code === noValue || Number.isNaN(values[code])) continue;
    uses[code] = (uses[code] ?? 0) + 1;
    total++;
  }
  const order = values.map((_, code) => code).filter((code) => !Number.isNaN(values[code]));
  order.sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const partOf = new Int32Array(values.length).fill(noValue);
  let before = 0;
  for (const code of order) {
    partOf[code] = Math.min(parts - 1, Math.floor((before * parts) / Math.max(1, total)));
    before += uses[code] ?? 0;
  }
  return said.map((code) => (code === noValue ? noValue : (partOf[code] ?? noValue)));
}

/**
 * How much two fields agree, from 0 for nothing to 1 if each determines the other: their mutual information, minus
 * what chance alone would give, divided by the larger entropy, over the products that state both. Source: Cover and
 * Thomas, Elements of Information Theory, 2.3; for the bias, Miller (1955). Dividing by the larger entropy is common
 * practice, no source.
 */
export function agreement(a: Int32Array, b: Int32Array): number {
  const [ofA, ofB, ofBoth] = [new Map<number, number>(), new Map<number, number>(), new Map<number, number>()];
  const width = b.reduce((most, one) => Math.max(most, one), 0) + 1;
  let total = 0;
  for (let p = 0; p < a.length; p++) {
    const [x = noValue, y = noValue] = [a[p], b[p]];
    if (x === noValue || y === noValue) continue;
    total++;
    ofA.set(x, (ofA.get(x) ?? 0) + 1);
    ofB.set(y, (ofB.get(y) ?? 0) + 1);
    const both = x * width + y;
    ofBoth.set(both, (ofBoth.get(both) ?? 0) + 1);
  }
  const [bitsA, bitsB] = [entropy(ofA.values()), entropy(ofB.values())];
  const most = Math.max(bitsA, bitsB);
  if (total === 0 || most === 0) return 0;
  const chance = ((ofA.size - 1) * (ofB.size - 1)) / (2 * total * Math.LN2);
  return Math.max(0, Math.min(1, (bitsA + bitsB - entropy(ofBoth.values()) - chance) / most));
}
