import type { Field } from "./field-schema.ts";
import { identity, spelling } from "./identity.ts";

/**
 * A heading as shoppers read it: `Miles_per_Gallon` and `milesPerGallon` are “Miles per gallon”. A heading that has
 * spaces, or is one word, was written to be read and stays as it is; so does a word of capitals in it.
 */
export function shownName(heading: string): string {
  const tidy = spelling(heading);
  if (/\s/.test(tidy)) return tidy;
  const words = tidy
    .replace(/(\p{Ll}|\d)(\p{Lu})/gu, "$1 $2")
    .replaceAll(/[_.-]+/g, " ")
    .trim()
    .split(" ");
  if (words.length === 1) return tidy;
  const lower = words.map((word) => (/^\p{Lu}[\p{Lu}\d]+$/u.test(word) ? word : word.toLowerCase()));
  return capital(lower.join(" "));
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Whether a field is the one of a heading: it may have come with the heading as it is, or as shoppers read it. */
export const hasHeading = ({ name }: Pick<Field, "name">, heading: string): boolean =>
  [heading, shownName(heading)].some((one) => identity(one) === identity(name));
