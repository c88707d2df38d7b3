import { type InferType, number, string } from "yup";
import { exact, listOf, numberIn, oneOf, record } from "../document/schema.ts";

/** Version of the swatch book's format that this code writes. */
export const bookFormat = 1;

/** Possible sources of a value's swatch. `text` is its name in a tile, the last resort. */
export const sources = ["picture", "colour", "name", "photos", "text"] as const;

/** How several colours are drawn. */
export const drawings = ["sectors", "stripes"] as const;

const colour = string()
  .strict()
  .matches(/^#[0-9a-f]{6}$/, ({ path }) => `${path} is not a colour like #a83c25`)
  .required();
const colours = () => listOf(colour, 4).min(1);

/** Pictures are in the shop's own store, so that none can be put in from elsewhere. */
export const picturePath = /^\/pictures\/[\p{L}\p{N}-]{1,100}\/[0-9a-f]{64}\.(?:svg|png|webp|jpg)$/u;

/** The designer's swatch of a value. Absent members are guessed. */
const entry = exact({
  /** One to four, as `#rrggbb`. */
  colours: colours().optional().default(undefined),
  drawing: oneOf(drawings).optional(),
  /** Address of a picture, a pattern or a logo in the shop's own store. */
  picture: string()
    .strict()
    .matches(picturePath, ({ path }) => `${path} is not a picture of this shop`)
    .optional(),
  /** The alternative text; the value's name when absent. */
  alt: string().strict().max(200).optional(),
});

/** Colours found in the pictures of the products with a value. */
const photoGuess = exact({
  colours: colours(),
  /** Number of pictures with the first colour, and of all examined pictures. */
  agree: number().strict().integer().min(0).required(),
  of: number().strict().integer().min(0).required(),
});

/** The shop's swatches of values, for all panels. */
export const bookSchema = exact({
  format: number<typeof bookFormat>().strict().oneOf([bookFormat]).required(),
  /** Value identity → its swatch in every field. */
  shared: record(entry),
  /** By field key, swatches for that field only. */
  own: record(record(entry)),
  /** By field key, colours found in product pictures. */
  photos: record(record(photoGuess)),
  /** By field key, the order of sources if it isn't the default. */
  order: record(listOf(oneOf(sources), sources.length)),
  /** Colour difference (CIEDE2000) below which two swatches count as too close. */
  limit: numberIn(0, 50).required(),
});

export type SwatchDocument = InferType<typeof bookSchema>;
export type SwatchEntry = InferType<typeof entry>;
export type PhotoGuess = InferType<typeof photoGuess>;
export type Source = (typeof sources)[number];
export type Drawing = (typeof drawings)[number];
