import { isPlain } from "../document/is-plain.ts";
import type { DocumentKind, OldDocument } from "../document/kind.ts";
import { lookDifferences } from "./differences.ts";
import { emptyLook } from "./empty-look.ts";
import { lookFormat } from "./look-format.ts";
import { type LookDocument, lookSchema } from "./look-schema.ts";
import { olderValues } from "./older-values.ts";

/** In format 1 a count had one possible corner only. */
const fromFirst = (look: OldDocument): OldDocument => ({
  ...look,
  format: 2,
  values: olderValues(look.values),
  styles: Array.isArray(look.styles)
    ? look.styles.map((style) => (isPlain(style) ? { ...style, values: olderValues(style.values) } : style))
    : look.styles,
});

/** The styling of panels. A shop has any number. */
export const lookKind: DocumentKind<LookDocument, true, "looks"> = {
  name: "look",
  what: "look",
  title: "A look",
  heading: "Look",
  member: "looks",
  many: true,
  format: lookFormat,
  schema: lookSchema,
  migrations: { 1: fromFirst },
  fresh: emptyLook,
  touches: [],
  differences: lookDifferences,
};
