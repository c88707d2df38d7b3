import type { DocumentKind } from "../document/kind.ts";
import { type LookDocument, lookFormat, lookSchema } from "./look-schema.ts";

/** How panels look. A shop has any number. */
export const lookKind: DocumentKind<LookDocument> = {
  name: "look",
  what: "look",
  many: true,
  format: lookFormat,
  schema: lookSchema,
  migrations: {},
  fresh: (name) => ({ format: lookFormat, name, values: {}, dark: {}, styles: [], css: "" }),
  touches: [],
};
