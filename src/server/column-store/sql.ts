import { words } from "../../core/engine/index/words.ts";

/**
 * Literals of ClickHouse's SQL. Numbers are checked and words consist of letters and digits only, so that nothing in a
 * question can become a part of a statement; ids go beside it, as a table. Version 18.16 binds no parameters.
 */

/** A whole number from 0 up to 2^32 - 1. @throws RangeError */
export function uint(value: number): string {
  if (!Number.isInteger(value) || value < 0 || value > 0xffff_ffff) throw new RangeError(`${value} is not an index.`);
  return String(value);
}

/** A list of whole numbers. */
export const uints = (values: readonly number[]): string =>
  values.length === 0 ? "emptyArrayUInt32()" : `CAST([${values.map(uint).join(",")}] AS Array(UInt32))`;

/** A finite number, to the last bit: the store's own reading of decimals may differ in it. @throws RangeError */
export function float(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`${value} is not a finite number.`);
  const bytes = Buffer.alloc(8);
  bytes.writeDoubleLE(value);
  return `reinterpretAsFloat64(unhex('${bytes.toString("hex")}'))`;
}

/** A word as searches fold it. @throws RangeError for anything else */
export function word(text: string): string {
  const [only, ...others] = words(text);
  if (only !== text || others.length > 0) throw new RangeError("This is not a single word.");
  return `'${text}'`;
}

export const all = (conditions: readonly string[]): string =>
  conditions.length === 0 ? "1" : conditions.map((one) => `(${one})`).join(" AND ");
export const any = (conditions: readonly string[]): string =>
  conditions.length === 0 ? "0" : conditions.map((one) => `(${one})`).join(" OR ");
