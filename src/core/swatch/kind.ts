import type { DocumentKind } from "../document/kind.ts";
import { bookFormat, bookSchema, type SwatchDocument } from "./book-schema.ts";
import { swatchDifferences } from "./differences.ts";

/** The swatch book: a shop's colours and pictures of values. */
export const swatchesKind: DocumentKind<SwatchDocument, false, "swatches"> = {
  name: "swatches",
  what: "swatch book",
  title: "A swatch book",
  heading: "Swatch book",
  member: "swatches",
  many: false,
  format: bookFormat,
  schema: bookSchema,
  migrations: {},
  fresh: () => ({ format: bookFormat, shared: {}, own: {}, photos: {}, order: {}, limit: 5 }),
  touches: ["swatches"],
  differences: swatchDifferences,
};
