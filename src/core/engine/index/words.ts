/** Words of a text with case and diacritics folded. */
export function words(text: string): string[] {
  return (
    text
      .normalize("NFD")
      .replace(/\p{M}/gu, "")
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? []
  );
}

/** Whether every word of a query begins a word of a name; an empty query fits all. */
export function matchesWords(name: string, query: readonly string[]): boolean {
  const own = words(name);
  return query.every((word) => own.some((one) => one.startsWith(word)));
}
