import type { DocumentKind } from "../document/kind.ts";
import { bookFormat, bookSchema, type SwatchDocument } from "./book-schema.ts";

/** The swatch book: a shop's colours and pictures of values. */
export const swatchesKind: DocumentKind<SwatchDocument> = {
  name: "swatches",
  what: "swatch book",
  many: false,
  format: bookFormat,
  schema: bookSchema,
  migrations: {},
  fresh: () => ({ format: bookFormat, shared: {}, own: {}, photos: {}, order: {}, limit: 5 }),
  touches: ["swatches"],
};
