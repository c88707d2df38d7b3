import { de } from "./de.ts";
import { en } from "./en.ts";
import { type Say, sayer, type Words } from "./say.ts";

/** The words that there are, by language. */
const languages: Readonly<Record<string, Words>> = { en, de };

/** The words of a language, by its whole tag, else by its first part; English where there are none. */
export const wordsOf = (language: string): Words =>
  languages[language] ?? languages[language.split("-")[0] ?? ""] ?? en;

const said = new Map<string, Say>();

/** What says the words of a language; the same each time, so that nothing is drawn anew for it. */
export function sayOf(language: string): Say {
  const say = said.get(language) ?? sayer(wordsOf(language), language);
  said.set(language, say);
  return say;
}
