import { type InferType, string } from "yup";
import { largest } from "../../catalogue/numbers/bounds.ts";
import { exact, oneOf, record, someText, text, wholeIn } from "../../document/schema.ts";

/** Version of the format of editions as files. */
export const editionFormat = "trellis-edition-1";

/** The number of an edition as text, from 1; undefined if the text is not one. */
export const editionNumber = (text: string): number | undefined =>
  /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;

/** SHA-256 in hex. */
export const contentHash = /^[0-9a-f]{64}$/;

const slug = () =>
  string()
    .strict()
    .matches(/^[^/\\\s.][^/\\\s]{0,199}$/)
    .required();

/** An edition as files: where it belongs, and by path the hash of each file’s content. */
export const editionManifest = exact({
  format: oneOf([editionFormat]),
  /** Slug of the shop. */
  shop: slug(),
  edition: wholeIn(1, largest).required(),
  note: text(10_000),
  name: someText(1000),
  /** ISO 4217 code. */
  currency: string().strict().length(3).required(),
  variantCount: wholeIn(0, largest).required(),
  /** ISO 8601. */
  createdAt: someText(40),
  files: record(string().strict().matches(contentHash).required()),
});
export type EditionManifest = InferType<typeof editionManifest>;

/** The edition that a folder’s shoppers see. */
export const currentEdition = exact({
  format: oneOf([editionFormat]),
  shop: slug(),
  edition: wholeIn(1, largest).required(),
});
export type CurrentEdition = InferType<typeof currentEdition>;
