import { boolean, type InferType } from "yup";
import { largest } from "../../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, record, someText, text, wholeIn } from "../../document/schema.ts";

const amount = () => numberIn(-largest, largest).optional();
const yes = () => boolean().strict().required();

/** One variant of a product, to be chosen in a listing. */
export const cardVariant = exact({
  /** Its index among the product's variants, from 0. */
  at: wholeIn(0, largest).required(),
  /** The values that set it apart from the others. */
  name: text(1000),
  price: amount(),
  was: amount(),
  /** Out of stock, or in stock; neither if unknown. */
  soldOut: yes(),
  inStock: yes(),
  /** It meets the selection and the page's conditions. */
  matches: yes(),
});

/** A product in a listing; its data come from the variants that meet the page's conditions and the selection. */
export const cardSchema = exact({
  id: someText(10_000),
  title: text(100_000),
  brand: text(100_000).optional(),
  /** Address of a picture that is safe to load. */
  image: text(10_000).optional(),
  /** If there is none: a few values of the product. */
  facts: listOf(text(100), 3).optional().default(undefined),
  /** The lowest present price, whether other variants cost more, and the highest price. */
  price: amount(),
  from: yes(),
  most: amount(),
  /** The list price of that variant, when it is higher. */
  was: amount(),
  /** Entirely out of stock, or partly in stock; neither if unknown. */
  soldOut: yes(),
  inStock: yes(),
  /** Index of the variant shown, if not all of the product's match. */
  variant: wholeIn(0, largest).optional(),
  /** Values by field key, for the requested fields. */
  values: record(listOf(text(10_000), 1000)),
  /** All variants, if requested and there are several. */
  variants: listOf(cardVariant, 10_000).optional().default(undefined),
});

export type Card = InferType<typeof cardSchema>;
export type CardVariant = InferType<typeof cardVariant>;
