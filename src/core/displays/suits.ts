import { isDay, isNumeric } from "../catalogue/field-kinds.ts";
import type { FieldProfile } from "../profile/profile.ts";

/** Reasons why a field does not suit a display, each with a number and what to do instead. */

/** For displays that show every option at once. */
export const tooMany = ({ options }: FieldProfile, most: number, what: string, instead: string): string | undefined =>
  options > most ? `${options.toLocaleString("en")} values are too many for ${what}. ${instead}` : undefined;

/** For displays with little room for words. */
export const tooLong = ({ longest }: FieldProfile, most: number, what: string): string | undefined =>
  longest > most
    ? `The longest value has ${longest} characters, too many for ${what}. Check boxes suit it.`
    : undefined;

/** For displays of a range. */
export function noNumbers({ field, options, numbers }: FieldProfile, what: string): string | undefined {
  if (!isNumeric(field))
    return `${numbers} of ${options} values are numbers. ${what} needs numbers or dates only. Correct the values in the catalogue.`;
  return numbers < 2 ? "All values are the same, so there is nothing to choose." : undefined;
}

/** For displays of options: numbers and days are better shown as a range. */
export const isNumberLine = ({ field }: FieldProfile, instead: string): string | undefined =>
  isNumeric(field) ? `The values are ${isDay(field) ? "dates" : "numbers"}. ${instead}` : undefined;
