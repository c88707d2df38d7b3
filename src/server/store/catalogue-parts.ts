const partBytes = 1024 * 1024;

/** Splits bytes into parts of a size that SQLite stores and reads well. */
export function partsOf(bytes: Uint8Array): Uint8Array[] {
  const parts: Uint8Array[] = [];
  for (let from = 0; from < bytes.length; from += partBytes) parts.push(bytes.subarray(from, from + partBytes));
  return parts;
}

/** The inverse of {@link partsOf}. */
export function joinParts(parts: readonly Uint8Array[]): Uint8Array {
  const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}
