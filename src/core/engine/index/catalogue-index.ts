import { type Catalogue, type Column, productCount, variantCount } from "../../catalogue/catalogue.ts";
import type { Field } from "../../catalogue/field.ts";
import { isNested } from "../../catalogue/field-kinds.ts";
import { valuePlaces } from "../../catalogue/order-by.ts";
import { type Bitmap, bitmapOf, emptyBitmap, fullBitmap, set } from "./bitmap.ts";
import {
  indexNumbers,
  indexOptions,
  levelOf,
  type NumberIndex,
  type OptionIndex,
  type ProductOptions,
  productOptions,
} from "./facet-index.ts";
import { kept } from "./kept.ts";
import type { Level, Merge, Option } from "./option-schema.ts";
import { TextIndex } from "./text-index.ts";

/** How a facet's field is indexed: as separate values, as a tree of paths, or as numbers. */
export type Shape = "options" | "tree" | "numbers";

const noColumn: Column = { spellings: [], starts: new Uint32Array(1), codes: new Uint32Array() };

/**
 * Maximum number of cached fields with merged options; merges are part of a question, so there is no limit to their
 * variety.
 */
const maxMerged = 100;

/**
 * A catalogue indexed for matching and counting. Each field is indexed on first use and cached, so that a shop with
 * many attributes pays only for those in its panels.
 */
export class CatalogueIndex {
  readonly catalogue: Catalogue;
  readonly products: number;
  readonly variants: number;
  #fields: Map<string, Field>;
  #levels = new Map<string, Level>();
  #options = new Map<string, OptionIndex>();
  #merged = new Map<string, OptionIndex>();
  #byProduct = new WeakMap<OptionIndex, ProductOptions>();
  #numbers = new Map<string, NumberIndex>();
  #stating = new Map<string, { level: Level; bits: Bitmap }>();
  #places = new Map<string, Float64Array>();
  #text: TextIndex | undefined;
  #productOf: Uint32Array | undefined;

  constructor(catalogue: Catalogue) {
    this.catalogue = catalogue;
    this.products = productCount(catalogue);
    this.variants = variantCount(catalogue);
    this.#fields = new Map(catalogue.fields.map((field) => [field.key, field]));
  }

  /** The field with this key, or undefined if the catalogue has none. */
  field(key: string): Field | undefined {
    return this.#fields.get(key);
  }

  /** Whether a field's records are products or variants. */
  level(key: string): Level {
    return kept(this.#levels, key, () => levelOf(this.catalogue, this.#known(key)));
  }

  /** A field as options; see {@link indexOptions}. */
  options(key: string, tree = false, merges: readonly Merge[] = []): OptionIndex {
    const make = () => indexOptions(this.catalogue, this.#known(key), this.level(key), tree, merges);
    if (merges.length === 0) return kept(this.#options, `${tree} ${key}`, make);
    const name = `${tree} ${key} ${JSON.stringify(merges)}`;
    return kept(this.#merged, name, make, maxMerged);
  }

  /** All options of a field, upper levels of nested values among them. */
  allOptions(key: string): readonly Option[] {
    return this.options(key, isNested(this.#known(key))).options;
  }

  /** The options of each product of a field, whatever its level, cached. @param options of this index */
  byProduct(options: OptionIndex): ProductOptions {
    const known = this.#byProduct.get(options) ?? productOptions(options, this.products, this.productOf);
    this.#byProduct.set(options, known);
    return known;
  }

  numbers(key: string): NumberIndex {
    return kept(this.#numbers, key, () => indexNumbers(this.catalogue, this.#known(key), this.level(key)));
  }

  /** The records that state a field. @param numbers count only numbers and dates */
  stating(key: string, numbers = false): { level: Level; bits: Bitmap } {
    return kept(this.#stating, `${numbers} ${key}`, () => {
      if (!numbers) {
        const { level, postings } = this.options(key);
        return { level, bits: bitmapOf(postings.records, level === "product" ? this.products : this.variants) };
      }
      const { level, starts } = this.numbers(key);
      const bits = emptyBitmap(starts.length - 1);
      for (let record = 0; record + 1 < starts.length; record++)
        if ((starts[record] ?? 0) < (starts[record + 1] ?? 0)) set(bits, record);
      return { level, bits };
    });
  }

  /** Each spelling's sort position, cached; see {@link valuePlaces}. */
  places(key: string): Float64Array {
    return kept(this.#places, key, () => valuePlaces(this.#known(key), this.catalogue.columns.get(key) ?? noColumn));
  }

  /** Text index, built for the first search: most visits never search. */
  get text(): TextIndex {
    this.#text ??= new TextIndex(this.catalogue);
    return this.#text;
  }

  /** Variant → product. */
  get productOf(): Uint32Array {
    if (!this.#productOf) {
      const { variantStart } = this.catalogue;
      this.#productOf = new Uint32Array(this.variants);
      for (let p = 0; p < this.products; p++) this.#productOf.fill(p, variantStart[p], variantStart[p + 1]);
    }
    return this.#productOf;
  }

  allProducts(): Bitmap {
    return fullBitmap(this.products);
  }

  allVariants(): Bitmap {
    return fullBitmap(this.variants);
  }

  #known(key: string): Field {
    const field = this.#fields.get(key);
    if (!field) throw new RangeError(`There is no field “${key}” in this catalogue.`);
    return field;
  }
}
