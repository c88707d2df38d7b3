import { isFacetable } from "../catalogue/field.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { guessColour } from "./guess.ts";

/** Field key → option identity → one to four colours as `#rrggbb`. A value without an entry has no known colour. */
export type SwatchBook = Record<string, Record<string, string[]>>;

const mostValues = 1000;

/** First guesses for every discrete field that has a value named like a colour. */
export function guessSwatches(index: CatalogueIndex): SwatchBook {
  const book: SwatchBook = {};
  for (const field of index.catalogue.fields) {
    if (!isFacetable(field) || field.kind !== "text") continue;
    const { options } = index.options(field.key);
    if (options.length > mostValues) continue;
    const entries = options.flatMap(({ id, label }) => {
      const colours = guessColour(label);
      return colours ? [[id, colours] as const] : [];
    });
    if (entries.length > 0) book[field.key] = Object.fromEntries(entries);
  }
  return book;
}
