import { boolean, type InferType } from "yup";
import { exact, numberIn, someText, text } from "../document/schema.ts";
import { largest } from "../numbers/bounds.ts";

const amount = () => numberIn(-largest, largest).optional();

/** What a listing shows of one product. */
export const cardSchema = exact({
  id: someText(10_000),
  title: text(100_000),
  brand: text(100_000).optional(),
  /** Address of a picture that is safe to load. */
  image: text(10_000).optional(),
  /** The lowest present price, and whether other variants cost more. */
  price: amount(),
  from: boolean().strict().required(),
  /** The list price of that variant, when it is higher. */
  was: amount(),
  soldOut: boolean().strict().required(),
});

export type Card = InferType<typeof cardSchema>;
