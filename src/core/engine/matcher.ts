import type { Range } from "../catalogue/numbers/range-schema.ts";
import { type Base, inRange, productsOf, variantsWithin } from "./base.ts";
import { type Bitmap, complement, count, emptyBitmap, has, intersect, set, toIds, union } from "./index/bitmap.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import type { OptionIndex } from "./index/facet-index.ts";
import type { Level } from "./index/option-schema.ts";
import { postingsOf } from "./index/postings.ts";
import type { Choice, Choices, Facet } from "./question.ts";
import { optionsOf, rangeOf } from "./selection.ts";

/** The records that one facet's choice requires of a product or of its variants. */
type Condition =
  /**
   * Products or variants that meet it. Variant-level conditions must be met by one and the same variant; `having` are
   * the products with such a variant, where they are known.
   */
  | { field: string; level: Level; bits: Bitmap; having?: Bitmap }
  /**
   * A variant-level all-of choice: for each list, the product must have a variant in it that meets the other
   * conditions.
   */
  | { field: string; each: Uint32Array[] };

/** Products and variants that match a selection, kept separate as the definition of a match requires. */
export interface Match {
  /** Products for which every product-level facet holds. */
  products: Bitmap;
  /** Variants that meet all variant-level any-of, one-of, tree and range choices at once; undefined for all. */
  variants: Bitmap | undefined;
  /** The products that have one of `variants`, where they are known. */
  having?: Bitmap | undefined;
  /** Postings of each option chosen in a variant-level all-of facet. */
  each: Uint32Array[];
}

/**
 * Results of a selection that are cached for the next one on the same page. Bitmaps only: lists of ids take too much
 * memory to be cached for each page.
 */
export interface PastSelection {
  page: Base;
  conditions: ReadonlyMap<string, Condition>;
  /** By {@link Matcher.nameOf}. */
  matches: ReadonlyMap<string, Pick<Kept, "match" | "products" | "size">>;
}

/** Cached results of one match. */
interface Kept {
  match: Match;
  products?: Bitmap | undefined;
  size?: number | undefined;
  productIds?: Uint32Array;
  variantIds?: Uint32Array;
  fewer?: { ids: Uint32Array; rest: boolean };
}

/** The discrete options of a facet that is not a range. */
export const facetOptions = (index: CatalogueIndex, facet: Facet): OptionIndex =>
  index.options(facet.field, facet.mode === "tree", facet.merges);

/**
 * A selection evaluated on a page. Counting needs the match without one facet's own choice; each such match is
 * computed once and cached, and facets without a choice share one.
 */
export class Matcher {
  readonly index: CatalogueIndex;
  readonly choices: Choices;
  #page: Base;
  /** By facet and choice, as text. */
  #conditions = new Map<string, Condition>();
  /** By {@link Matcher.nameOf}. */
  #kept = new Map<string, Kept>();
  /** The same by the field whose choice is ignored, since making a name takes longer than small counts. */
  #without = new Map<string | undefined, Kept>();
  #past: PastSelection | undefined;

  /**
   * @param page the products left by the page's conditions
   * @param facets facets whose choices apply; a choice of another field is ignored
   * @param past an earlier selection, whose results are used where they are valid; ignored if its page is different
   */
  constructor(index: CatalogueIndex, page: Base, facets: readonly Facet[], choices: Choices, past?: PastSelection) {
    this.index = index;
    this.choices = choices;
    this.#page = page;
    this.#past = past?.page === page ? past : undefined;
    for (const facet of facets) {
      const choice = choices[facet.field];
      if (!choice) continue;
      const name = JSON.stringify([facet.field, facet.mode, facet.merges ?? [], choice]);
      this.#conditions.set(name, this.#past?.conditions.get(name) ?? conditionOf(index, facet, choice));
    }
  }

  /** For the next selection on this page: the conditions and matches that were evaluated. */
  get remembered(): PastSelection {
    const matches = [...this.#kept].map(
      ([name, { match, products, size }]) => [name, { match, products, size }] as const,
    );
    return { page: this.#page, conditions: this.#conditions, matches: new Map(matches) };
  }

  /** A name for the match without a field's choice; matches of one page with the same name are equal. */
  nameOf(without?: string): string {
    let name = "";
    for (const [one, { field }] of this.#conditions) if (field !== without) name += `${one}\n`;
    return name;
  }

  /** The products that choices narrow. */
  get page(): Base {
    return this.#page;
  }

  /** The match; with `without`, ignoring the choice of that field. */
  match(without?: string): Match {
    return this.#at(without).match;
  }

  /** Products of the match, with all conditions combined. */
  products(without?: string): Bitmap {
    const kept = this.#at(without);
    kept.products ??= matchedProducts(this.index, kept.match);
    return kept.products;
  }

  /** How many products match. */
  size(without?: string): number {
    const kept = this.#at(without);
    kept.size ??= count(this.products(without));
    return kept.size;
  }

  /** Whether ignoring this field's choice makes no difference, so that the match of the whole selection can be used. */
  isShared(without?: string): boolean {
    return this.#at(without) === this.#at(undefined);
  }

  /** The matching products, or the others (`rest`) if those are fewer, for iteration. */
  fewer(without?: string): { ids: Uint32Array; rest: boolean } {
    const kept = this.#at(without);
    if (!kept.fewer) {
      const products = this.products(without);
      const rest = this.size(without) * 2 > this.index.products;
      kept.fewer = { ids: rest ? toIds(complement(products, this.index.products)) : this.productIds(without), rest };
    }
    return kept.fewer;
  }

  productIds(without?: string): Uint32Array {
    const kept = this.#at(without);
    kept.productIds ??= toIds(this.products(without));
    return kept.productIds;
  }

  /** Variants of the matching products that meet the variant-level conditions, in ascending order. */
  variantIds(without?: string): Uint32Array {
    const kept = this.#at(without);
    kept.variantIds ??= variantsWithin(this.index, this.products(without), kept.match.variants);
    return kept.variantIds;
  }

  /** Tests whether a variant meets the variant-level choices and conditions; undefined if there are none. */
  get fits(): ((variant: number) => boolean) | undefined {
    const { variants } = this.match();
    return variants && ((variant) => has(variants, variant));
  }

  /** Number of products after replacing one field's choice by a range. */
  sizeWith(field: string, range: Range): number {
    const base = this.match(field);
    const { level, bits } = rangeCondition(this.index, field, range);
    const narrowed =
      level === "product"
        ? { ...base, products: both(base.products, bits) }
        : withVariants(base, base.variants ? both(base.variants, bits) : bits);
    return count(matchedProducts(this.index, narrowed));
  }

  #at(without: string | undefined): Kept {
    const known = this.#without.get(without);
    if (known) return known;
    const name = this.nameOf(without);
    let kept = this.#kept.get(name);
    if (!kept) {
      kept = { ...(this.#past?.matches.get(name) ?? { match: this.#work(without) }) };
      this.#kept.set(name, kept);
    }
    this.#without.set(without, kept);
    return kept;
  }

  #work(without: string | undefined): Match {
    const page = this.#page;
    const result: Match = { ...page, each: [] };
    for (const condition of this.#conditions.values()) {
      if (condition.field === without) continue;
      if ("each" in condition) result.each.push(...condition.each);
      else if (condition.level === "product")
        result.products =
          result.products === page.products
            ? both(page.products, condition.bits)
            : intersect(result.products, condition.bits);
      else {
        result.having = result.variants ? undefined : condition.having;
        result.variants = result.variants ? both(result.variants, condition.bits) : condition.bits;
      }
    }
    return result;
  }
}

/** A match with other variants. */
export const withVariants = (match: Match, variants: Bitmap): Match => ({ ...match, variants, having: undefined });

/** The products of a match, all conditions taken together. */
export function matchedProducts(index: CatalogueIndex, { products, variants, having, each }: Match): Bitmap {
  if (!variants && each.length === 0) return products;
  const result = products.slice();
  if (variants) intersect(result, having ?? productsOf(index, variants));
  for (const list of each) intersect(result, productsOfList(index, list, variants));
  return result;
}

/** Products with a variant in the posting list and, if given, in `variants`. */
function productsOfList(index: CatalogueIndex, list: Uint32Array, variants?: Bitmap): Bitmap {
  const { productOf } = index;
  const result = emptyBitmap(index.products);
  for (let i = 0; i < list.length; i++) {
    const v = list[i] ?? 0;
    if (!variants || has(variants, v)) set(result, productOf[v] ?? 0);
  }
  return result;
}

function conditionOf(index: CatalogueIndex, facet: Facet, choice: Choice): Condition {
  const { field, mode } = facet;
  if (mode === "range") return rangeCondition(index, field, rangeOf(choice));
  const options = facetOptions(index, facet);
  // An option that the catalogue no longer contains finds nothing.
  const chosen = optionsOf(choice).map((id) => options.at.get(id));
  if (mode === "all" && options.level === "variant") {
    return { field, each: chosen.map((o) => (o === undefined ? new Uint32Array() : postingsOf(options.postings, o))) };
  }
  const combined = (size: number, of: (option: number) => Bitmap): Bitmap => {
    const [first, ...others] = chosen.map((o) => (o === undefined ? emptyBitmap(size) : of(o)));
    if (!first) return emptyBitmap(size);
    const combine = mode === "all" ? intersect : union;
    return others.length === 0 ? first : others.reduce((sum, one) => combine(sum, one), first.slice());
  };
  if (options.level === "product") return { field, level: "product", bits: combined(index.products, options.bits) };
  return {
    ...{ field, level: "variant", bits: combined(index.variants, options.bits) },
    having: combined(index.products, index.byProduct(options).bits),
  };
}

function rangeCondition(index: CatalogueIndex, field: string, range: Range) {
  const numbers = index.numbers(field);
  return { field, level: numbers.level, bits: inRange(numbers, range) };
}

/** The intersection as a new set. */
function both(a: Bitmap, b: Bitmap): Bitmap {
  const result = new Uint32Array(a.length);
  for (let i = 0; i < a.length; i++) result[i] = (a[i] ?? 0) & (b[i] ?? 0);
  return result;
}
