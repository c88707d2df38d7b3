import crc32 from "crc-32";

/**
 * The first binary form of a catalogue, as the migration of 2026-11-25 writes it. A copy that must never
 * change, whatever becomes of the form that the program itself writes.
 */

export interface Field1 {
  key: string;
  role: string;
}
export interface Product1 {
  id: string;
  rows: string[][];
}

const wholeTexts = ["product_id", "sku", "title", "description", "image"];
const derived = ["availability", "on_sale"];
const tidy = (text: string): string => text.normalize("NFC").trim().replace(/\s+/gu, " ");

/** Codes raw cells, one row a variant and one cell a field, in the first binary form. */
export function encodeCatalogue1(fields: readonly Field1[], products: readonly Product1[]): Uint8Array {
  const kept = fields.filter(({ role }) => !derived.includes(role));
  const parts: (Uint8Array | Uint16Array | Uint32Array)[] = [narrow(products.map(({ rows }) => rows.length))];
  const columns = kept.map(({ key, role }) => {
    const at = fields.findIndex((field) => field.key === key);
    const codeOf = new Map<string, number>();
    const codes: number[] = [];
    const counts: number[] = [];
    for (const { rows } of products) {
      for (const row of rows) {
        const cell = row[at] ?? "";
        const values = (wholeTexts.includes(role) ? [cell] : cell.split("|")).map(tidy).filter((value) => value !== "");
        counts.push(values.length);
        for (const value of values) {
          const code = codeOf.get(value) ?? codeOf.size;
          codeOf.set(value, code);
          codes.push(code);
        }
      }
    }
    const coded = narrow(codes);
    const counted = counts.every((count) => count === 1) ? undefined : narrow(counts);
    parts.push(coded, ...(counted ? [counted] : []));
    const countWidth = counted ? counted.BYTES_PER_ELEMENT : 0;
    return { key, spellings: [...codeOf.keys()], codes: codes.length, codeWidth: coded.BYTES_PER_ELEMENT, countWidth };
  });
  const header = {
    fields: kept,
    productIds: products.map(({ id }) => id),
    variants: products.reduce((sum, { rows }) => sum + rows.length, 0),
    variantsWidth: parts[0]?.BYTES_PER_ELEMENT,
    columns,
  };
  const text = new TextEncoder().encode(JSON.stringify(header));
  const bytes = new Uint8Array(parts.reduce((sum, part) => aligned(sum) + part.byteLength, aligned(16 + text.length)));
  bytes.set(text, 16);
  let at = 16 + text.length;
  for (const part of parts) {
    at = aligned(at);
    bytes.set(new Uint8Array(part.buffer, part.byteOffset, part.byteLength), at);
    at += part.byteLength;
  }
  const head = new DataView(bytes.buffer);
  head.setUint32(0, 0x3143_545a, true);
  head.setUint32(4, 1, true);
  head.setUint32(12, text.length, true);
  head.setInt32(8, crc32.buf(bytes.subarray(12)), true);
  return bytes;
}

const aligned = (at: number): number => (at + 3) & ~3;

function narrow(numbers: readonly number[]): Uint8Array | Uint16Array | Uint32Array {
  const most = numbers.reduce((high, number) => Math.max(high, number), 0);
  return most < 0x100
    ? Uint8Array.from(numbers)
    : most < 0x1_0000
      ? Uint16Array.from(numbers)
      : Uint32Array.from(numbers);
}
