import { distance } from "fastest-levenshtein";
import type { Catalogue } from "../../catalogue/catalogue.ts";
import { kindFacts } from "../../catalogue/field-kinds.ts";
import type { FieldRole } from "../../catalogue/field-names.ts";
import type { Field } from "../../catalogue/field-schema.ts";
import { type Bitmap, emptyBitmap, insert, intersect } from "./bitmap.ts";
import { FieldWords } from "./field-words.ts";
import type { SearchedField } from "./search-schema.ts";
import { words } from "./words.ts";

/** The default weights of the words of known fields; those of other fields with words weigh 1. */
const usual: Partial<Record<FieldRole, number>> = {
  title: 8,
  sku: 8,
  brand: 4,
  type: 4,
  category: 3,
  tags: 2,
  // A description speaks of much that a product is not.
  description: 0,
  product_id: 0,
  image: 0,
};
/** A word that only begins with what was asked for weighs so much of the whole. */
const prefixShare = 0.75;
/** Words that are offered for one that is in no product. */
const offered = 3;

/** How much the words of a field weigh; 0 for fields that are not searched. */
export const weightOf = (field: Field, given: readonly SearchedField[] = []): number =>
  given.find((one) => one.field === field.key)?.weight ??
  (field.titles ? usual.title : usual[field.role]) ??
  (kindFacts(field).words ? 1 : 0);

/** Finds products by words in their fields, and tells how well they fit. A field is indexed with the first search that goes over it. */
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
   * How well each product fits a query: for each word the weight of the heaviest field that has it, less where only
   * its beginning was asked for, all words added up.
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

  /** Queries like one that finds nothing, with words in the place of those that no product has; each finds something. */
  near(query: string, given?: readonly SearchedField[]): string[] {
    const asked = words(query);
    const fields = this.#searched(given);
    const known = new Set(fields.flatMap(({ words: own }) => own.words));
    const finds = (text: string) => this.search(text, given)?.some((bits) => bits !== 0) === true;
    const choices = asked.map((word, i) => {
      const prefix = i === asked.length - 1;
      const there = fields.some(({ words: own }) => {
        let any = false;
        own.find(word, prefix, () => {
          any = true;
        });
        return any;
      });
      return there ? [word] : nearest(word, known);
    });
    const queries = choices.reduce<string[]>(
      (all, some) => all.flatMap((text) => some.map((word) => (text === "" ? word : `${text} ${word}`))).slice(0, 20),
      [""],
    );
    return queries.filter((text) => text !== asked.join(" ") && finds(text)).slice(0, offered);
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

/** Letters from which on a word may be so far from another; two letters that have changed places are two apart. */
const farFrom = [Number.POSITIVE_INFINITY, 3, 5];

/** Words like one, the most like first: few letters apart, fewer for a short one. */
function nearest(word: string, known: ReadonlySet<string>): string[] {
  const most = farFrom.findLastIndex((letters) => word.length >= letters);
  if (most < 1) return [];
  return [...known]
    .filter((other) => Math.abs(other.length - word.length) <= most)
    .map((other) => ({ other, far: distance(word, other) }))
    .filter(({ far }) => far <= most)
    .sort((a, b) => a.far - b.far || Number(b.other[0] === word[0]) - Number(a.other[0] === word[0]))
    .slice(0, offered)
    .map(({ other }) => other);
}
