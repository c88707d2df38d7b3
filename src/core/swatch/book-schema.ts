import { type InferType, number, string } from "yup";
import { exact, listOf, numberIn, oneOf, record } from "../document/schema.ts";

/** Version of the swatch book's format that this code writes. */
export const bookFormat = 1;

/** Where a value's swatch can come from. `text` is its name in a tile, and always the last resort. */
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

/** The designer's swatch of a value. Absent members are open to guesses. */
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

/** Colours that were found in the pictures of the products that state a value. */
const photoGuess = exact({
  colours: colours(),
  /** Pictures in which the first colour was found, and pictures looked at. */
  agree: number().strict().integer().min(0).required(),
  of: number().strict().integer().min(0).required(),
});

/** The shop's colours and pictures of values, for all panels. */
export const bookSchema = exact({
  format: number<typeof bookFormat>().strict().oneOf([bookFormat]).required(),
  /** Value identity → what holds for it in whichever field it stands. */
  shared: record(entry),
  /** By field key, what holds in that field only. */
  own: record(record(entry)),
  /** By field key, what was found in product pictures. */
  photos: record(record(photoGuess)),
  /** By field key, the order of fallback where it is not the usual one. */
  order: record(listOf(oneOf(sources), sources.length)),
  /** Colour difference (CIEDE2000) below which two swatches count as too close. */
  limit: numberIn(0, 50).required(),
});

export type SwatchDocument = InferType<typeof bookSchema>;
export type SwatchEntry = InferType<typeof entry>;
export type PhotoGuess = InferType<typeof photoGuess>;
export type Source = (typeof sources)[number];
export type Drawing = (typeof drawings)[number];
