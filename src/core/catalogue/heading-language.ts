import { knownColumns } from "./field-names.ts";
import { headingWords } from "./heading-words.ts";
import { identity } from "./identity.ts";
import { splitCapitals } from "./shown-name.ts";

/** A single word exists in too many languages to identify one; “note” is a rating in French only. */
const fewest = 2;

/** Headings as words: `list_price` and `listPrice` become “list price”. */
export const wordsOf = (header: readonly string[]): string[] =>
  header.map((heading) => identity(splitCapitals(heading).replaceAll(/[_\-./'’]+/g, " ")));

/** Languages in which a file's headings are written, English included; the one with most known headings first. @param names see {@link wordsOf} */
export function headingLanguages(names: readonly string[]): string[] {
  return Object.keys(headingWords)
    .filter((language) => language === "en" || spoken(language, names) >= fewest)
    .sort((a, b) => spoken(b, names) - spoken(a, names));
}

/** The language of most of a file's headings; undefined if they are English or say nothing. */
export function headingLanguage(header: readonly string[]): string | undefined {
  const names = wordsOf(header);
  const [most = "en"] = headingLanguages(names);
  const english =
    spoken("en", names) + knownColumns.filter((column) => names.includes(column.replaceAll("_", " "))).length;
  return most !== "en" && spoken(most, names) > english ? most : undefined;
}

/** Number of columns that a file's headings name in a language. */
const spoken = (language: string, names: readonly string[]): number =>
  Object.values(headingWords[language] ?? {}).filter((list) => list?.some((name) => names.includes(name))).length;
