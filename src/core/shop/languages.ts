import type { ShopDocument } from "./shop-schema.ts";

/** The language of a shop that names none. */
export const fallbackLanguage = "en";

/** The language in which a shop's labels are written. */
export const ownLanguage = ({ language }: Pick<ShopDocument, "language">): string => language ?? fallbackLanguage;

/** All languages of a shop, its own first. */
export const languagesOf = (shop: Pick<ShopDocument, "language" | "languages">): string[] => [
  ...new Set([ownLanguage(shop), ...shop.languages]),
];

/** Language tags typed by somebody, or why they are invalid. */
export type TypedLanguages = { tags: string[] } | { fault: string };

/**
 * Reads BCP 47 tags separated by spaces or commas, each once and in canonical form. A tag for which CLDR has no name
 * is rejected, so that “german” is reported.
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
