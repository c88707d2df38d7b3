import { CatalogueError } from "./problem.ts";

/**
 * Decodes a catalogue file. Only UTF-8 is accepted, with or without a byte order mark.
 * @throws CatalogueError naming the row of the first byte that is not UTF-8, or the other encoding.
 */
export function decodeText(bytes: Uint8Array): string {
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff)) {
    throw new CatalogueError({ message: "This file is UTF-16. Save it again as “CSV UTF-8” and import that file." });
  }
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    throw new CatalogueError({
      row: rowOfFault(bytes),
      message: "The text is not UTF-8. Save the file again as “CSV UTF-8” and import that file.",
    });
  }
  const nul = text.indexOf("\0");
  if (nul >= 0) {
    throw new CatalogueError({
      row: lines(text, nul),
      message: "There is a null character, so this is not a text file. Export the catalogue as CSV.",
    });
  }
  return text;
}

/** Binary search for the first line that does not decode. */
function rowOfFault(bytes: Uint8Array): number {
  const decodes = (end: number) => {
    try {
      new TextDecoder("utf-8", { fatal: true }).decode(bytes.subarray(0, end));
      return true;
    } catch {
      return false;
    }
  };
  const ends: number[] = [];
  for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, at + 1)) ends.push(at);
  let low = 0;
  let high = ends.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (decodes(ends[middle] ?? 0)) low = middle + 1;
    else high = middle;
  }
  return low + 1;
}

function lines(text: string, end: number): number {
  let count = 1;
  for (let at = text.indexOf("\n"); at >= 0 && at < end; at = text.indexOf("\n", at + 1)) count++;
  return count;
}
