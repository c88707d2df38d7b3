import { type Catalogue, productCount } from "../catalogue/catalogue.ts";
import type { FieldRole } from "../catalogue/field.ts";
import { type Bitmap, emptyBitmap, insert, intersect } from "./bitmap.ts";
import { buildPostings, listOf, type Postings } from "./postings.ts";
import { words } from "./words.ts";

const searched: readonly FieldRole[] = ["title", "brand", "type", "category", "tags", "sku"];

/** Finds products by words in their title, brand, type, category, tags and SKU. */
export class TextIndex {
  /** Sorted, so that a prefix is a run. */
  #words: string[];
  #postings: Postings;
  #products: number;

  constructor(catalogue: Catalogue) {
    this.#products = productCount(catalogue);
    const keys = catalogue.fields
      .filter((field) => searched.includes(field.role) || field.titles)
      .map((field) => field.key);
    const columns = keys.flatMap((key) => catalogue.columns.get(key) ?? []);
    const wordsOf = columns.map((column) => column.spellings.map(words));
    this.#words = [...new Set(wordsOf.flat(2))].sort();
    const at = new Map(this.#words.map((word, i) => [word, i]));
    this.#postings = buildPostings(this.#words.length, this.#products, (product, visit) => {
      const [first, last] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
      columns.forEach((column, c) => {
        for (let i = column.starts[first] ?? 0; i < (column.starts[last] ?? 0); i++) {
          for (const word of wordsOf[c]?.[column.codes[i] ?? 0] ?? []) visit(at.get(word) ?? 0);
        }
      });
    });
  }

  /** Products that have every word of the query; the last word may be the beginning of one. */
  search(query: string): Bitmap | undefined {
    const asked = words(query);
    if (asked.length === 0) return undefined;
    let found: Bitmap | undefined;
    asked.forEach((word, i) => {
      const prefix = i === asked.length - 1;
      const some = emptyBitmap(this.#products);
      for (let at = this.#from(word); at < this.#words.length; at++) {
        const own = this.#words[at] ?? "";
        if (prefix ? !own.startsWith(word) : own !== word) break;
        insert(some, listOf(this.#postings, at));
      }
      found = found ? intersect(found, some) : some;
    });
    return found;
  }

  #from(word: string): number {
    let low = 0;
    let high = this.#words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.#words[middle] ?? "") < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
