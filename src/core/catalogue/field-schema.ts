import { type InferType, mixed } from "yup";
import { said } from "../document/json-schema.ts";
import { exact, oneOf, someText, text } from "../document/schema.ts";
import { fieldKinds } from "./field-kind-words.ts";
import { fieldLevels, fieldRoles } from "./field-names.ts";

/** One column of a catalogue. */
export const fieldSchema = exact({
  /** Short and safe for addresses and documents; unique in the catalogue. */
  key: someText(500),
  /** The heading as the file gives it, tidied; shoppers read it until a facet has a label of its own. */
  name: text(2000),
  role: oneOf(fieldRoles),
  kind: oneOf(fieldKinds),
  /** The kind that the designer has chosen; what the values look like when absent. */
  given: oneOf(fieldKinds).optional(),
  /** Whose the designer says that its values are; what they look like when absent. */
  level: oneOf(fieldLevels).optional(),
  /** The unit that its numbers are in, such as `cm`, once values with units were made numbers. */
  unit: text(60).optional(),
  /** Its values are the products' titles, though it is a field like others and can be a facet too. */
  titles: mixed<true>((value): value is true => value === true)
    .optional()
    .meta(said(() => ({ const: true }), { optional: true })),
});

export type Field = InferType<typeof fieldSchema>;
