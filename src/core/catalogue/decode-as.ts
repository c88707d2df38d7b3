import type { Encoding } from "./encoding-titles.ts";

/** The characters of the bytes 80 to 9F in Windows-1252. Source: WHATWG Encoding Standard, index-windows-1252. */
const windows1252 = "€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ";

/** Decodes a text. @throws TypeError if a byte does not fit and `fatal` is set */
export function decodeAs(bytes: Uint8Array, encoding: Encoding | "utf-8", fatal: boolean): string {
  const text = new TextDecoder(encoding, { fatal }).decode(bytes);
  if (encoding !== "windows-1252") return text;
  // Node.js 20 decodes this one as ISO 8859-1, with control characters; a browser leaves nothing to replace.
  return text.replace(/[\x80-\x9f]/g, (control) => windows1252[control.charCodeAt(0) - 0x80] ?? control);
}

/** The kind of UTF-16 that a file's byte order mark names. */
export function markedEncoding([first, second]: Uint8Array): Encoding | undefined {
  if (first === 0xff && second === 0xfe) return "utf-16le";
  return first === 0xfe && second === 0xff ? "utf-16be" : undefined;
}
