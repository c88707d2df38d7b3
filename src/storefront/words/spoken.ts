import { en } from "./en.ts";
import { type Say, sayer, type Words } from "./say.ts";

const known = new Map<string, Words>([["en", en]]);
const said = new Map<string, Say>();

/** Registers the words of a language. A shop page contains English and its own; see {@link ./languages.ts} for all. */
export function putWords(language: string, words: Words): void {
  known.set(language, words);
  said.clear();
}

/** The words of a language, by its whole tag, otherwise by its first part; English if there are none. */
export const wordsOf = (language: string): Words =>
  known.get(language) ?? known.get(language.split("-")[0] ?? "") ?? en;

/** The phrases of a language; the same object each time, so that nothing rerenders for it. */
export function sayOf(language: string): Say {
  const say = said.get(language) ?? sayer(wordsOf(language), language);
  said.set(language, say);
  return say;
}
