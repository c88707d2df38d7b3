import { type InferType, string } from "yup";
import { fieldSchema } from "../../core/catalogue/field-schema.ts";
import { largest } from "../../core/catalogue/numbers/bounds.ts";
import { prefixes } from "../../core/catalogue/path.ts";
import { exact, listOf, oneOf, text, wholeIn } from "../../core/document/schema.ts";
import { levels } from "../../core/engine/index/option-schema.ts";

/** Version of the tables; a store with a different one is loaded anew. */
export const storeFormat = "trellis-store-2";

/** A field of a stored catalogue: what engines know of it without its rows. */
const storedField = exact({
  field: fieldSchema,
  level: oneOf(levels),
  /** In the order in which the catalogue first states them, and how often each occurs. */
  spellings: listOf(text(1_000_000), largest),
  uses: listOf(wholeIn(0, largest).required(), largest),
});

/** A catalogue without its rows. It is written last, so that half of a load is never used. */
export const storedCatalogue = exact({
  format: oneOf([storeFormat]),
  /** SHA-256 of the catalogue, in hex. */
  hash: string()
    .strict()
    .matches(/^[0-9a-f]{64}$/)
    .required(),
  products: wholeIn(0, largest).required(),
  variants: wholeIn(0, largest).required(),
  /** Number of shards, and the one that this is written on. */
  shards: wholeIn(1, 1000).required(),
  shard: wholeIn(0, 999).required(),
  fields: listOf(storedField, largest),
});
export type StoredCatalogue = InferType<typeof storedCatalogue>;
export type StoredField = StoredCatalogue["fields"][number];

/** Whether a field’s options differ as a tree: only then its levels are stored. */
export const hasLevels = (spellings: readonly string[]): boolean => spellings.some((text) => prefixes(text).length > 1);

/** The tables of a catalogue, named by its content: a second edition never changes them. */
export const tablesOf = (hash: string) => {
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new RangeError("This is not a hash.");
  const name = `trellis_${hash.slice(0, 24)}`;
  return { rows: `${name}_rows`, about: `${name}_about` };
};

/**
 * The columns of a field by its place among the fields: options as the catalogue codes them, the same with all levels
 * of paths, numbers, sort positions, words. A row is a product; where a field varies, each of its columns but the words
 * has a list for every variant.
 */
export const columnsOf = (at: number) => ({
  options: `o${at}`,
  tree: `t${at}`,
  numbers: `n${at}`,
  places: `p${at}`,
  words: `w${at}`,
});
