import { isNested } from "../catalogue/field-kinds.ts";
import { holds } from "../catalogue/numbers/range.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import { type Bitmap, bitmapOf, emptyBitmap, forEach, intersect, set, toIds, union } from "./index/bitmap.ts";
import type { CatalogueIndex } from "./index/catalogue-index.ts";
import type { NumberIndex } from "./index/facet-index.ts";
import type { Level } from "./index/option-schema.ts";
import type { SearchedField } from "./index/search-schema.ts";
import type { Clause, Condition } from "./question.ts";

/**
 * The part of a catalogue that meets a page's standing conditions. They act like permanent choices, so variant-level
 * ones are kept separate: one and the same variant must meet them and the choices.
 */
export interface Base {
  products: Bitmap;
  /** Variants that meet the variant-level conditions; undefined for all. */
  variants: Bitmap | undefined;
}

/** The records that satisfy something. */
interface Records {
  level: Level;
  bits: Bitmap;
}

/** The whole catalogue. */
export const everything = (index: CatalogueIndex): Base => ({ products: index.allProducts(), variants: undefined });

/** The products that meet a page's conditions: every clause holds, and a clause holds if one of its conditions does. */
export function baseOf(index: CatalogueIndex, within: readonly Clause[], searching?: readonly SearchedField[]): Base {
  return within.reduce<Base>((base, clause) => narrowed(base, anyOf(index, clause, searching)), everything(index));
}

/** The products that meet some conditions, in ascending order. */
export function productsWithin(index: CatalogueIndex, within: readonly Clause[]): Uint32Array {
  const { products, variants } = baseOf(index, within);
  return toIds(variants ? intersect(productsOf(index, variants), products) : products);
}

/** The products of a base that match the search words. */
export function searchedIn(
  index: CatalogueIndex,
  base: Base,
  text: string,
  searching?: readonly SearchedField[],
): Base {
  const bits = text.trim() === "" ? undefined : index.text.search(text, searching);
  return bits ? narrowed(base, { level: "product", bits }) : base;
}

/** A base narrowed by one more requirement. Returns a new base. */
export function narrowed(base: Base, { level, bits }: Records): Base {
  if (level === "product") return { ...base, products: intersect(base.products.slice(), bits) };
  return { ...base, variants: base.variants ? intersect(base.variants.slice(), bits) : bits };
}

/** The records that meet any condition of a clause: variants if one of its conditions is at variant level. */
function anyOf(index: CatalogueIndex, clause: Clause, searching: readonly SearchedField[] | undefined): Records {
  const each = clause.map((condition) => recordsOf(index, condition, searching));
  const level = each.some((one) => one.level === "variant") ? "variant" : "product";
  const bits = emptyBitmap(level === "variant" ? index.variants : index.products);
  for (const one of each) union(bits, one.level === level ? one.bits : variantsOf(index, one.bits));
  return { level, bits };
}

/** Products or variants that meet a condition. None if the catalogue lacks the field. */
function recordsOf(
  index: CatalogueIndex,
  condition: Condition,
  searching: readonly SearchedField[] | undefined,
): Records {
  if ("words" in condition) {
    const { products } = searchedIn(index, everything(index), condition.words, searching);
    return { level: "product", bits: products };
  }
  if ("products" in condition) {
    const wanted = new Set(condition.products);
    const ids = index.catalogue.productIds.flatMap((id, at) => (wanted.has(id) ? [at] : []));
    return { level: "product", bits: bitmapOf(ids, index.products) };
  }
  const field = index.field(condition.field);
  if (!field) return { level: "product", bits: emptyBitmap(index.products) };
  if (!("options" in condition)) {
    const numbers = index.numbers(field.key);
    return { level: numbers.level, bits: inRange(numbers, condition) };
  }
  const options = index.options(field.key, isNested(field));
  const bits = emptyBitmap(options.level === "product" ? index.products : index.variants);
  for (const id of condition.options) {
    const at = options.at.get(id);
    if (at !== undefined) union(bits, options.bits(at));
  }
  return { level: options.level, bits };
}

/** Records that state a number within both ends. */
export function inRange({ starts, values }: NumberIndex, range: Range): Bitmap {
  const size = starts.length - 1;
  const bits = emptyBitmap(size);
  for (let record = 0; record < size; record++) {
    for (let i = starts[record] ?? 0; i < (starts[record + 1] ?? 0); i++) {
      if (holds(range, values[i] ?? 0)) set(bits, record);
    }
  }
  return bits;
}

/** Products that have one of the variants. */
export function productsOf(index: CatalogueIndex, variants: Bitmap): Bitmap {
  const { productOf } = index;
  const result = emptyBitmap(index.products);
  forEach(variants, (v) => {
    set(result, productOf[v] ?? 0);
  });
  return result;
}

/** All variants of some products. */
function variantsOf(index: CatalogueIndex, products: Bitmap): Bitmap {
  const { variantStart } = index.catalogue;
  const result = emptyBitmap(index.variants);
  for (const p of toIds(products))
    for (let v = variantStart[p] ?? 0; v < (variantStart[p + 1] ?? 0); v++) set(result, v);
  return result;
}

/** Variants of some products, in ascending order: all of them, or those that are also in `variants`. */
export function variantsWithin(index: CatalogueIndex, products: Bitmap, variants: Bitmap | undefined): Uint32Array {
  const ids = toIds(variants ?? variantsOf(index, products));
  if (!variants) return ids;
  const { productOf } = index;
  let length = 0;
  for (let i = 0; i < ids.length; i++) {
    const variant = ids[i] ?? 0;
    const product = productOf[variant] ?? 0;
    ids[length] = variant;
    // Moves on by the product's bit, since half of the branches would be guessed wrong.
    length += ((products[product >>> 5] ?? 0) >>> (product & 31)) & 1;
  }
  return ids.subarray(0, length);
}
