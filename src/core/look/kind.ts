import type { DocumentKind } from "../document/kind.ts";
import { emptyLook, lookFormat } from "./empty-look.ts";
import { type LookDocument, lookSchema } from "./look-schema.ts";

/** How panels look. A shop has any number. */
export const lookKind: DocumentKind<LookDocument> = {
  name: "look",
  what: "look",
  many: true,
  format: lookFormat,
  schema: lookSchema,
  migrations: {},
  fresh: emptyLook,
  touches: [],
};
