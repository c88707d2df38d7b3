import { type Catalogue, type Column, productCount } from "../../catalogue/catalogue.ts";
import { buildPostings, type Postings, postingsOf } from "./postings.ts";
import { words } from "./words.ts";

/** The words of a field's spellings, each once. Sorted, so that words with a common prefix are adjacent. */
export const vocabularyOf = (wordsOf: readonly (readonly string[])[]): string[] => [...new Set(wordsOf.flat())].sort();

/** The words of one field, and the products that state them. */
export class FieldWords {
  /** See {@link vocabularyOf}. */
  readonly words: readonly string[];
  #postings: Postings;

  constructor(catalogue: Catalogue, column: Column) {
    const wordsOf = column.spellings.map(words);
    this.words = vocabularyOf(wordsOf);
    const at = new Map(this.words.map((word, i) => [word, i]));
    this.#postings = buildPostings(this.words.length, productCount(catalogue), (product, visit) => {
      const [first, last] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
      for (let i = column.starts[first] ?? 0; i < (column.starts[last] ?? 0); i++)
        for (const word of wordsOf[column.codes[i] ?? 0] ?? []) visit(at.get(word) ?? 0);
    });
  }

  /**
   * Finds the products of a word, or with `prefix` of every word that begins with it.
   * @param visit receives products in ascending order, and whether the word matches exactly
   */
  find(word: string, prefix: boolean, visit: (products: Uint32Array, exact: boolean) => void): void {
    for (let at = this.#from(word); at < this.words.length; at++) {
      const own = this.words[at] ?? "";
      if (prefix ? !own.startsWith(word) : own !== word) break;
      visit(postingsOf(this.#postings, at), own === word);
    }
  }

  #from(word: string): number {
    let low = 0;
    let high = this.words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.words[middle] ?? "") < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
