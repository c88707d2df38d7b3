/** Language tags as somebody types them, or why they are none. */
export type TypedLanguages = { tags: string[] } | { fault: string };

/**
 * Reads BCP 47 tags parted by spaces or commas, each once and in its usual form. A tag of a language that CLDR has no
 * name for is none, so that “german” is told and not taken.
 */
export function readLanguages(text: string): TypedLanguages {
  const typed = text.split(/[\s,;]+/).filter((tag) => tag !== "");
  const tags: string[] = [];
  for (const tag of typed) {
    const known = canonical(tag);
    if (known === undefined) return { fault: `“${tag}” is not a language tag. Write tags like: de fr pt-BR` };
    if (!tags.includes(known)) tags.push(known);
  }
  return { tags };
}

const names = new Intl.DisplayNames("en", { type: "language", fallback: "none" });

function canonical(tag: string): string | undefined {
  try {
    const [known] = Intl.getCanonicalLocales(tag);
    const language = known && new Intl.Locale(known).language;
    return language && names.of(language) !== undefined ? known : undefined;
  } catch {
    return undefined;
  }
}
