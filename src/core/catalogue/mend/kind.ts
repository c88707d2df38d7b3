import type { DocumentKind } from "../../document/kind.ts";
import { type MendDocument, mendFormat, mendsSchema } from "./mend-schema.ts";

/** What is put right over a shop's catalogue. */
export const mendsKind: DocumentKind<MendDocument> = {
  name: "mends",
  what: "list of corrections",
  many: false,
  format: mendFormat,
  schema: mendsSchema,
  migrations: {},
  fresh: () => ({ format: mendFormat, mends: [] }),
  touches: ["catalogue"],
};
