import { boolean, type InferType } from "yup";
import { largest } from "../../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, record, someText, text, wholeIn } from "../../document/schema.ts";

const amount = () => numberIn(-largest, largest).optional();
const yes = () => boolean().strict().required();

/** One variant of a product, to be chosen in a listing. */
export const cardVariant = exact({
  /** Its place among the product's variants, from 0. */
  at: wholeIn(0, largest).required(),
  /** The values that set it apart from the others. */
  name: text(1000),
  price: amount(),
  was: amount(),
  /** It is said to be out of stock, or to be in stock; neither where nothing is known. */
  soldOut: yes(),
  inStock: yes(),
  /** It satisfies all that is chosen and what the page asks. */
  matches: yes(),
});

/** The data of one product in a listing; all of it belongs to the variants that satisfy the page and the choices. */
export const cardSchema = exact({
  id: someText(10_000),
  title: text(100_000),
  brand: text(100_000).optional(),
  /** Address of a picture that is safe to load. */
  image: text(10_000).optional(),
  /** Where there is none: a few values that the product states. */
  facts: listOf(text(100), 3).optional().default(undefined),
  /** The lowest present price, whether other variants cost more, and then how much at most. */
  price: amount(),
  from: yes(),
  most: amount(),
  /** The list price of that variant, when it is higher. */
  was: amount(),
  /** All of it is out of stock, or some of it is in stock; neither where nothing is known. */
  soldOut: yes(),
  inStock: yes(),
  /** Place of the variant that is shown, when not all of the product's match. */
  variant: wholeIn(0, largest).optional(),
  /** Values by field key, of the fields that were asked for. */
  values: record(listOf(text(10_000), 1000)),
  /** All variants, where they were asked for and there are several. */
  variants: listOf(cardVariant, 10_000).optional().default(undefined),
});

export type Card = InferType<typeof cardSchema>;
export type CardVariant = InferType<typeof cardVariant>;
