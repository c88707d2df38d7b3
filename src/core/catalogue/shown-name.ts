import type { Field } from "./field-schema.ts";
import { identity, spelling } from "./identity.ts";

/**
 * A heading for shoppers, beginning with a capital: `Miles_per_Gallon` and `milesPerGallon` become “Miles per gallon”,
 * `density` “Density”. The words of a heading with spaces or with one hyphen (“Sub-region”) were written for readers and
 * are kept, as is an all-capitals word.
 */
export function shownName(heading: string): string {
  const tidy = spelling(heading);
  if (/\s/.test(tidy) || /^\p{Lu}\p{L}+-\p{L}+$/u.test(tidy)) return capital(tidy);
  const words = tidy
    .replace(/(\p{Ll}|\d)(\p{Lu})/gu, "$1 $2")
    .replaceAll(/[_.-]+/g, " ")
    .trim()
    .split(" ");
  if (words.length === 1) return capital(tidy);
  const lower = words.map((word) => (/^\p{Lu}[\p{Lu}\d]+$/u.test(word) ? word : word.toLowerCase()));
  return capital(lower.join(" "));
}

/** A heading with its words apart where capitals join them: `imageURL` becomes “image URL”. */
export const splitCapitals = (heading: string): string => heading.replace(/(\p{Ll})(\p{Lu})/gu, "$1 $2");

/** With a first capital, unless the word has one further on, such as “pH” or “iPod”. */
const capital = (text: string): string =>
  /^\p{Ll}\p{Lu}/u.test(text) ? text : text.charAt(0).toUpperCase() + text.slice(1);

/** Whether a field belongs to a heading, as written in the file or as shown to shoppers, hyphens or not. */
export const hasHeading = ({ name }: Pick<Field, "name">, heading: string): boolean =>
  [heading, shownName(heading)].some((one) => plain(one) === plain(name));

const plain = (name: string): string => identity(name.replaceAll("-", " "));
