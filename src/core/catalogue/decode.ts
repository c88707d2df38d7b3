import { decodeAs, markedEncoding } from "./decode-as.ts";
import { type Encoding, encodingTitles } from "./encoding-titles.ts";
import { CatalogueError } from "./problem.ts";

/**
 * Decodes a catalogue file; a byte order mark is removed.
 * @param encoding other than UTF-8, if somebody has chosen or confirmed it
 * @throws CatalogueError naming the row of the first byte that does not fit
 */
export function decodeText(bytes: Uint8Array, encoding?: Encoding): string {
  if (!encoding && markedEncoding(bytes)) {
    throw new CatalogueError({ message: "This file is UTF-16. Save it again as “CSV UTF-8” and import that file." });
  }
  let text: string;
  try {
    text = decodeAs(bytes, encoding ?? "utf-8", true);
  } catch {
    throw new CatalogueError(
      encoding
        ? { message: `The text is not ${encodingTitles[encoding]}. Choose a different encoding.` }
        : {
            row: rowOfFault(bytes),
            message: "The text is not UTF-8. Save the file again as “CSV UTF-8” and import that file.",
          },
    );
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

/** Whether a file is UTF-8, with or without a byte order mark. */
export const isUtf8 = (bytes: Uint8Array): boolean => !markedEncoding(bytes) && decodes(bytes);

function decodes(bytes: Uint8Array): boolean {
  try {
    decodeAs(bytes, "utf-8", true);
    return true;
  } catch {
    return false;
  }
}

/** Binary search for the first line that does not decode. */
function rowOfFault(bytes: Uint8Array): number {
  const ends: number[] = [];
  for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, at + 1)) ends.push(at);
  let low = 0;
  let high = ends.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (decodes(bytes.subarray(0, ends[middle] ?? 0))) low = middle + 1;
    else high = middle;
  }
  return low + 1;
}

function lines(text: string, end: number): number {
  let count = 1;
  for (let at = text.indexOf("\n"); at >= 0 && at < end; at = text.indexOf("\n", at + 1)) count++;
  return count;
}
