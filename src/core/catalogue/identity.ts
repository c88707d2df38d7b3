/**
 * A value for display: Unicode NFC, trimmed, inner white space collapsed. Two cells with the same spelling look the
 * same to a reader.
 */
export function spelling(text: string): string {
  // Fast path: most cells are already normalized, and the test is far cheaper than the replacement.
  if (tidy.test(text)) return text;
  return text.normalize("NFC").trim().replace(/\s+/gu, " ");
}

const tidy = /^(?:[!-~]+(?: [!-~]+)*)?$/;

/**
 * A value's identity: its spelling in lower case, without a locale. Spellings that differ only in case or white space
 * are one option.
 */
export function identity(text: string): string {
  return spelling(text).toLowerCase();
}
