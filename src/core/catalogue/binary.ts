import { isPlain } from "../document/is-plain.ts";
import { crc32 } from "../sanitize/crc32.ts";
import { maxVariants } from "../sanitize/max-variants.ts";
import type { Catalogue, Column } from "./catalogue.ts";
import { completeCatalogue, storedPart } from "./complete.ts";
import type { Field } from "./field.ts";

/** Version of the binary form; a reader refuses another. */
export const binaryFormat = 1;

const magic = 0x3143_545a; // “ZTC1”, read as a little-endian number
const headBytes = 16;

/** Bytes that are not a catalogue of this version, or a damaged one. */
export class BinaryError extends Error {
  override name = "BinaryError";
}

/** The JSON header before the numbers. Widths are bytes per number. */
interface Header {
  fields: Field[];
  productIds: string[];
  variants: number;
  variantsWidth: Width;
  columns: { key: string; spellings: string[]; codes: number; codeWidth: Width; countWidth: Width | 0 }[];
}
type Width = 1 | 2 | 4;
type Numbers = Uint8Array | Uint16Array | Uint32Array;

/**
 * A catalogue as bytes, for storing and sending: four 32-bit numbers (magic, version, CRC-32 of the rest, length of
 * the JSON header), the header, then dictionary codes in as few bytes as they need. Computed fields are left out; the
 * reader computes them again.
 * @param keep fields to include; all by default
 */
export function encodeCatalogue(
  catalogue: Catalogue,
  keep: (field: Field) => boolean = () => true,
): Uint8Array<ArrayBuffer> {
  const { fields, columns, productIds, variantStart } = storedPart(catalogue);
  const kept = fields.filter(keep);
  const perProduct = differences(variantStart);
  const widths = narrow(perProduct);
  const parts: Numbers[] = [widths];
  const header: Header = {
    fields: kept,
    productIds,
    variants: variantStart[productIds.length] ?? 0,
    variantsWidth: widthOf(widths),
    columns: [],
  };
  for (const { key } of kept) {
    const { spellings, starts, codes } = columns.get(key) as Column;
    const coded = narrow(codes);
    const counts = differences(starts);
    // If every variant states exactly one value, the counts need not be stored.
    const counted = counts.every((count) => count === 1) ? undefined : narrow(counts);
    header.columns.push({
      key,
      spellings,
      codes: codes.length,
      codeWidth: widthOf(coded),
      countWidth: counted ? widthOf(counted) : 0,
    });
    parts.push(coded, ...(counted ? [counted] : []));
  }
  const text = new TextEncoder().encode(JSON.stringify(header));
  const size = parts.reduce((sum, part) => aligned(sum) + part.byteLength, aligned(headBytes + text.length));
  const bytes = new Uint8Array(size);
  bytes.set(text, headBytes);
  let at = headBytes + text.length;
  for (const part of parts) {
    at = aligned(at);
    bytes.set(new Uint8Array(part.buffer, part.byteOffset, part.byteLength), at);
    at += part.byteLength;
  }
  const head = new DataView(bytes.buffer);
  head.setUint32(0, magic, true);
  head.setUint32(4, binaryFormat, true);
  head.setUint32(12, text.length, true);
  head.setInt32(8, crc32(bytes.subarray(12)), true);
  return bytes;
}

/** Whether bytes begin like a catalogue in binary form, whatever its version. */
export const looksBinary = (bytes: Uint8Array): boolean =>
  bytes.length >= 4 && new DataView(bytes.buffer, bytes.byteOffset, 4).getUint32(0, true) === magic;

/**
 * The inverse of {@link encodeCatalogue}, with the computed fields.
 * @throws BinaryError if the bytes are of another version, damaged, or don't describe a catalogue
 */
export function decodeCatalogue(bytes: Uint8Array): Catalogue {
  if (bytes.length < headBytes || !looksBinary(bytes))
    throw new BinaryError("This file is not a catalogue packed by this tool. Choose the original file.");
  const head = new DataView(bytes.buffer, bytes.byteOffset, headBytes);
  const version = head.getUint32(4, true);
  if (version !== binaryFormat)
    throw new BinaryError(
      `The catalogue has format ${version} but this page reads format ${binaryFormat}. Reload the page.`,
    );
  if (head.getInt32(8, true) !== crc32(bytes.subarray(12)))
    throw new BinaryError("The catalogue arrived damaged. Reload the page.");
  const length = head.getUint32(12, true);
  const header = headerOf(new TextDecoder().decode(bytes.subarray(headBytes, headBytes + length)));
  let at = headBytes + length;
  const take = (count: number, width: Width): Uint32Array => {
    at = aligned(at);
    const end = at + count * width;
    if (!Number.isInteger(count) || count < 0 || end > bytes.length)
      throw new BinaryError("The catalogue is incomplete. Reload the page.");
    const numbers = widen(bytes.slice(at, end), width);
    at = end;
    return numbers;
  };
  const variantStart = sums(take(header.productIds.length, header.variantsWidth));
  const variants = variantStart[header.productIds.length];
  if (variants !== header.variants || variants > maxVariants || header.columns.length !== header.fields.length)
    throw new BinaryError("The catalogue is damaged. Reload the page.");
  const columns = new Map<string, Column>();
  for (const { key, spellings, codes: count, codeWidth, countWidth } of header.columns) {
    const codes = take(count, codeWidth);
    // Checks that as many variants exist as claimed before allocating memory for them.
    if (countWidth === 0 && count !== variants)
      throw new BinaryError(`The column “${key}” is damaged. Reload the page.`);
    const starts =
      countWidth === 0 ? Uint32Array.from({ length: variants + 1 }, (_, v) => v) : sums(take(variants, countWidth));
    if (starts[variants] !== count || codes.some((code) => code >= spellings.length))
      throw new BinaryError(`The column “${key}” is damaged. Reload the page.`);
    columns.set(key, { spellings, starts, codes });
  }
  if (header.fields.some(({ key }) => !columns.has(key)))
    throw new BinaryError("A field of the catalogue has no column. Reload the page.");
  return completeCatalogue({ fields: header.fields, columns, productIds: header.productIds, variantStart });
}

const widths: readonly unknown[] = [1, 2, 4];
const isList = (value: unknown): value is unknown[] => Array.isArray(value);

/** The JSON header, checked as far as the rest depends on it; field definitions are checked on import. */
function headerOf(text: string): Header {
  let header: unknown;
  try {
    header = JSON.parse(text);
  } catch {
    header = undefined;
  }
  const fits =
    isPlain(header) &&
    isList(header.fields) &&
    header.fields.every((field) => isPlain(field) && typeof field.key === "string") &&
    isList(header.productIds) &&
    header.productIds.every((id) => typeof id === "string") &&
    widths.includes(header.variantsWidth) &&
    isList(header.columns) &&
    header.columns.every(
      (one) =>
        isPlain(one) &&
        isList(one.spellings) &&
        one.spellings.every((spelling) => typeof spelling === "string") &&
        widths.includes(one.codeWidth) &&
        (one.countWidth === 0 || widths.includes(one.countWidth)),
    );
  if (!fits) throw new BinaryError("The catalogue is damaged. Reload the page.");
  return header as Header;
}

const aligned = (at: number): number => (at + 3) & ~3;
const widthOf = (numbers: Numbers): Width => numbers.BYTES_PER_ELEMENT as Width;

/** The same numbers in as few bytes as the largest needs. */
function narrow(numbers: Uint32Array): Numbers {
  let most = 0;
  for (let i = 0; i < numbers.length; i++) most = Math.max(most, numbers[i] ?? 0);
  return most < 0x100 ? Uint8Array.from(numbers) : most < 0x1_0000 ? Uint16Array.from(numbers) : numbers;
}

function widen(bytes: Uint8Array<ArrayBuffer>, width: Width): Uint32Array {
  if (width === 1) return Uint32Array.from(bytes);
  return width === 2 ? Uint32Array.from(new Uint16Array(bytes.buffer)) : new Uint32Array(bytes.buffer);
}

const differences = (starts: Uint32Array): Uint32Array =>
  Uint32Array.from({ length: starts.length - 1 }, (_, i) => (starts[i + 1] ?? 0) - (starts[i] ?? 0));

function sums(counts: Uint32Array): Uint32Array {
  const starts = new Uint32Array(counts.length + 1);
  for (let i = 0; i < counts.length; i++) starts[i + 1] = (starts[i] ?? 0) + (counts[i] ?? 0);
  return starts;
}
