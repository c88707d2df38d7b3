import { ar } from "./ar.ts";
import { de } from "./de.ts";
import { en } from "./en.ts";
import { es } from "./es.ts";
import { fr } from "./fr.ts";
import { ja } from "./ja.ts";
import { nl } from "./nl.ts";
import type { Words } from "./say.ts";
import { putWords } from "./spoken.ts";
import type { wordLanguages } from "./word-languages.ts";

/** Every language with words. Another one is a file beside these, and the compiler reports missing words. */
export const languages: Readonly<Record<(typeof wordLanguages)[number], Words>> = { en, de, fr, es, nl, ar, ja };

/** Registers all languages: for the server, the studio and the stage, where any may be needed. */
export function putAllWords(): void {
  for (const [language, words] of Object.entries(languages)) putWords(language, words);
}
