import { de } from "./de.ts";
import { en } from "./en.ts";
import type { Words } from "./say.ts";
import { putWords } from "./spoken.ts";

/** Every language that there are words of. Another one is a file beside these, and the compiler names what it lacks. */
export const languages: Readonly<Record<string, Words>> = { en, de };

/** Makes all languages known: for the server, the studio and the stage, where any of them can be wanted. */
export function putAllWords(): void {
  for (const [language, words] of Object.entries(languages)) putWords(language, words);
}
