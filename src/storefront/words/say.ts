import type { en } from "./en.ts";

/** A text with placeholders, or one for each plural category of its language. */
export type Phrase = string | Readonly<Partial<Record<Intl.LDMLPluralRule, string>> & { other: string }>;
export type WordKey = keyof typeof en;
/** All words of one language. */
export type Words = Readonly<{ [K in WordKey]: Phrase }>;
/** A phrase with its placeholders filled, numbers formatted for the language; `n` selects the plural. */
export interface Say {
  (key: WordKey, values?: Readonly<Record<string, string | number>>): string;
  number(n: number): string;
}

const rules = new Map<string, Intl.PluralRules>();

/** The phrases of a language. @param language BCP 47 tag, which determines plurals */
export function sayer(words: Words, language: string): Say {
  const plural = rules.get(language) ?? new Intl.PluralRules(language);
  rules.set(language, plural);
  const numbers = new Intl.NumberFormat([language, "en"]);
  const number = (n: number) => numbers.format(n);
  const say = (key: WordKey, values: Readonly<Record<string, string | number>> = {}): string => {
    const phrase = words[key];
    const text = typeof phrase === "string" ? phrase : (phrase[plural.select(Number(values.n ?? 0))] ?? phrase.other);
    return text.replace(/\{(\w+)\}/g, (place, name: string) => {
      const value = Object.hasOwn(values, name) ? values[name] : undefined;
      return typeof value === "number" ? number(value) : (value ?? place);
    });
  };
  return Object.assign(say, { number });
}
