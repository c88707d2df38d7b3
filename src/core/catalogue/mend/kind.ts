import type { DocumentKind } from "../../document/kind.ts";
import { mendDifferences } from "./differences.ts";
import { type MendDocument, mendFormat, mendsSchema } from "./mend-schema.ts";

/** Corrections over a shop's catalogue. */
export const mendsKind: DocumentKind<MendDocument, false, "mends"> = {
  name: "mends",
  what: "list of corrections",
  title: "Corrections over a catalogue",
  heading: "Corrections",
  member: "mends",
  many: false,
  format: mendFormat,
  schema: mendsSchema,
  migrations: {},
  fresh: () => ({ format: mendFormat, mends: [] }),
  touches: ["catalogue"],
  differences: mendDifferences,
};
