import { unzipSync } from "fflate";
import { crc32 } from "./crc32.ts";

/** How a zip can be unusable. */
export type ZipFaultKind = "not a zip" | "damaged" | "bomb" | "too large" | "bad name";

/** A zip that can’t be used. */
export class ZipFault extends Error {
  override name = "ZipFault";
  readonly kind: ZipFaultKind;
  /** The file in the zip concerned, if any. */
  readonly file: string | undefined;
  constructor(kind: ZipFaultKind, message: string, file?: string) {
    super(message);
    this.kind = kind;
    this.file = file;
  }
}

export interface UnzipLimits {
  maxFiles: number;
  /** Total size of the wanted files, unpacked, in bytes. */
  maxBytes: number;
}

/** Text is rarely compressed below a hundredth; a large file with a higher ratio is an attack on memory. */
const maxGrowth = 250;
const smallBomb = 32 * 1024 * 1024;
const leadsOut = /(?:^|[/\\])\.\.(?:[/\\]|$)|^[/\\]|^[a-z]:|\\|\0/i;

/**
 * Unpacks the wanted files of a zip, and checks each against the length and checksum in the zip. Nothing is unpacked
 * beyond its declared length or beyond the limits.
 * @param isWanted by name; other names are checked too
 * @throws ZipFault
 */
export function unzip(
  bytes: Uint8Array,
  isWanted: (name: string) => boolean,
  { maxFiles, maxBytes }: UnzipLimits,
): Map<string, Uint8Array> {
  const sums = checksumsIn(bytes);
  const expected = new Map<string, { size: number; sum: number | undefined }>();
  let [at, size, packed] = [0, 0, 0];
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter({ name, originalSize, size: compressed }) {
        const sum = sums[at++];
        if (leadsOut.test(name))
          throw new ZipFault("bad name", "This path leads out of the folder.", name.slice(0, 100));
        if (!isWanted(name)) return false;
        if (expected.has(name)) throw new ZipFault("damaged", "The ZIP contains this file twice.", name);
        size += originalSize;
        packed += compressed;
        if (size > smallBomb && size > packed * maxGrowth)
          throw new ZipFault(
            "bomb",
            `This ZIP is unsafe: ${megabytes(packed)} would unpack to more than ${megabytes(size)}. Choose a different file.`,
          );
        if (expected.size >= maxFiles || size > maxBytes)
          throw new ZipFault(
            "too large",
            `The ZIP has more than ${maxFiles.toLocaleString("en")} files, or more than ${megabytes(maxBytes)}. Split the shop.`,
          );
        expected.set(name, { size: originalSize, sum });
        return true;
      },
    });
  } catch (error) {
    if (error instanceof ZipFault) throw error;
    throw new ZipFault("not a zip", "This is not a valid ZIP file. Zip the folder again.");
  }
  const found = new Map(Object.entries(files));
  for (const [name, { size: length, sum }] of expected) {
    const content = found.get(name);
    if (!content || content.length !== length || crc32(content) !== sum)
      throw new ZipFault("damaged", "This file is damaged: its checksum is wrong. Zip the folder again.", name);
  }
  return found;
}

const megabytes = (bytes: number): string => `${(bytes / 1_000_000).toFixed(bytes < 10_000_000 ? 1 : 0)} MB`;

/**
 * The CRC-32 of each entry, in the order of the central directory; none if there is no directory. Source: PKWARE,
 * APPNOTE.TXT, sections 4.3.12, 4.3.14 and 4.3.16.
 */
function checksumsIn(bytes: Uint8Array): number[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const [endMark, end64Mark, entryMark] = [0x06054b50, 0x06064b50, 0x02014b50];
  const maxEnd = 22 + 65_535;
  let end = bytes.length - 22;
  while (end >= 0 && end >= bytes.length - maxEnd && view.getUint32(end, true) !== endMark) end--;
  if (end < 0 || view.getUint32(end, true) !== endMark) return [];
  let count = view.getUint16(end + 8, true);
  let entry = view.getUint32(end + 16, true);
  if ((entry === 0xffffffff || count === 0xffff) && end >= 20) {
    const end64 = view.getUint32(end - 12, true);
    if (end64 + 56 <= bytes.length && view.getUint32(end64, true) === end64Mark) {
      count = view.getUint32(end64 + 32, true);
      entry = view.getUint32(end64 + 48, true);
    }
  }
  const sums: number[] = [];
  for (; sums.length < count && entry + 46 <= bytes.length && view.getUint32(entry, true) === entryMark; ) {
    sums.push(view.getInt32(entry + 16, true));
    entry +=
      46 + view.getUint16(entry + 28, true) + view.getUint16(entry + 30, true) + view.getUint16(entry + 32, true);
  }
  return sums;
}
