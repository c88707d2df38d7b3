import { inStock, outOfStock } from "../../core/catalogue/availability.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { isTwoValued, kindFacts } from "../../core/catalogue/field-kinds.ts";
import { en } from "../words/en.ts";
import type { Say, WordKey } from "../words/say.ts";
import { formatterOf } from "./format.ts";

/** The language and currency that values are written in. */
interface Written {
  currency: string;
  language: string;
  say: Say;
}

const phrases: Readonly<Record<string, WordKey>> = {
  [inStock]: "inStock",
  [outOfStock]: "soldOut",
  yes: "yes",
  no: "no",
};

/**
 * Returns a function that writes a field's values for shoppers: numbers, amounts of money and days as their language
 * writes them, with all their decimals; the words that the tool computes itself in their language; any other text
 * unchanged.
 */
export function valueWriter(field: Field, { currency, language, say }: Written): (text: string) => string {
  const { line } = kindFacts(field);
  if (line) {
    const usual = formatterOf(field, currency, undefined, language);
    return (text) => {
      const place = line.parse(text);
      if (Number.isNaN(place)) return text;
      const decimals = text.split(".")[1]?.length ?? 0;
      const write = decimals > 2 ? formatterOf(field, currency, { prefix: "", suffix: "", decimals }, language) : usual;
      return write(place);
    };
  }
  if (field.role !== "availability" && !isTwoValued(field)) return (text) => text;
  return (text) => {
    const phrase = Object.hasOwn(phrases, text) ? phrases[text] : undefined;
    // In English the words are the values themselves.
    return phrase === undefined || say(phrase) === en[phrase] ? text : say(phrase);
  };
}
