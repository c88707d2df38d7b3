import type { Field } from "./field-schema.ts";
import { identity, spelling } from "./identity.ts";

/**
 * A heading for shoppers: `Miles_per_Gallon` and `milesPerGallon` become “Miles per gallon”. A heading with spaces, or
 * of one word, was written for readers and is kept, as is an all-capitals word.
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

/** Whether a field belongs to a heading, either as written in the file or as shown to shoppers. */
export const hasHeading = ({ name }: Pick<Field, "name">, heading: string): boolean =>
  [heading, shownName(heading)].some((one) => identity(one) === identity(name));
