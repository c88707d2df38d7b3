/**
 * A value as it is shown: Unicode NFC, trimmed, inner white space folded to one space.
 * Two cells with the same spelling look the same to a reader.
 */
export function spelling(text: string): string {
  // Most cells are plain and already tidy; the test is far cheaper than the rewriting.
  if (tidy.test(text)) return text;
  return text.normalize("NFC").trim().replace(/\s+/gu, " ");
}

const tidy = /^(?:[!-~]+(?: [!-~]+)*)?$/;

/**
 * A value's identity: its spelling, lower-cased without a locale.
 * Spellings that differ by case or white space only are one option.
 */
export function identity(text: string): string {
  return spelling(text).toLowerCase();
}
