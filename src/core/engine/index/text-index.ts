import type { Catalogue } from "../../catalogue/catalogue.ts";
import { kindFacts } from "../../catalogue/field-kinds.ts";
import type { FieldRole } from "../../catalogue/field-names.ts";
import type { Field } from "../../catalogue/field-schema.ts";
import { type Bitmap, emptyBitmap, insert, intersect } from "./bitmap.ts";
import { FieldWords } from "./field-words.ts";
import type { SearchedField } from "./search-schema.ts";
import { maxSimilar, similarQueries } from "./similar-queries.ts";
import { words } from "./words.ts";

/** Default weights of known fields; other fields with words weigh 1. */
const usual: Partial<Record<FieldRole, number>> = {
  title: 8,
  sku: 8,
  brand: 4,
  type: 4,
  category: 3,
  tags: 2,
  // Excluded: a description mentions much that a product is not.
  description: 0,
  product_id: 0,
  image: 0,
};
/** Relative weight of a word that only begins with the searched one. */
export const prefixShare = 0.75;

/** The weight of a field's words; 0 if it is not searched. */
export const weightOf = (field: Field, given: readonly SearchedField[] = []): number =>
  given.find((one) => one.field === field.key)?.weight ??
  (field.titles ? usual.title : usual[field.role]) ??
  (kindFacts(field).words ? 1 : 0);

/**
 * Finds products by the words in their fields and ranks them. A field is indexed by the first search that covers it.
 */
export class TextIndex {
  #catalogue: Catalogue;
  #size: number;
  #fields = new Map<string, FieldWords>();

  constructor(catalogue: Catalogue) {
    this.#catalogue = catalogue;
    this.#size = catalogue.productIds.length;
  }

  /** Products that have every word of the query, in whatever field; the last word may be the beginning of one. Undefined for no words. */
  search(query: string, given?: readonly SearchedField[]): Bitmap | undefined {
    const asked = words(query);
    const fields = this.#searched(given);
    return asked.reduce<Bitmap | undefined>((found, word, i) => {
      const some = emptyBitmap(this.#size);
      for (const { words: own } of fields)
        own.find(word, i === asked.length - 1, (products) => {
          insert(some, products);
        });
      return found ? intersect(found, some) : some;
    }, undefined);
  }

  /**
   * The relevance of each product: for each word the weight of its heaviest field, reduced for a prefix match, summed
   * over the words.
   */
  relevance(query: string, given?: readonly SearchedField[]): Float64Array {
    const scores = new Float64Array(this.#size);
    const fields = this.#searched(given);
    const asked = words(query);
    asked.forEach((word, i) => {
      const best = new Float64Array(this.#size);
      for (const { words: own, weight } of fields)
        own.find(word, i === asked.length - 1, (products, exact) => {
          const worth = exact ? weight : weight * prefixShare;
          for (const product of products) if (worth > (best[product] ?? 0)) best[product] = worth;
        });
      for (let product = 0; product < this.#size; product++)
        scores[product] = (scores[product] ?? 0) + (best[product] ?? 0);
    });
    return scores;
  }

  /** Similar queries for one that finds nothing, with unknown words replaced; each finds something. */
  near(query: string, given?: readonly SearchedField[]): string[] {
    const vocabularies = this.#searched(given).map(({ words: own }) => own.words);
    return similarQueries(query, vocabularies)
      .filter((text) => this.search(text, given)?.some((bits) => bits !== 0) === true)
      .slice(0, maxSimilar);
  }

  #searched(given: readonly SearchedField[] | undefined): { words: FieldWords; weight: number }[] {
    return this.#catalogue.fields.flatMap((field) => {
      const weight = weightOf(field, given);
      const column = weight > 0 ? this.#catalogue.columns.get(field.key) : undefined;
      if (!column) return [];
      const own = this.#fields.get(field.key) ?? new FieldWords(this.#catalogue, column);
      this.#fields.set(field.key, own);
      return [{ words: own, weight }];
    });
  }
}
