import { type InferType, mixed } from "yup";
import { said } from "../document/json-schema.ts";
import { exact, oneOf, someText, text } from "../document/schema.ts";
import { fieldKinds } from "./field-kind-words.ts";
import { fieldLevels, fieldRoles } from "./field-names.ts";

/** One column of a catalogue. */
export const fieldSchema = exact({
  /** Short and safe for addresses and documents; unique in the catalogue. */
  key: someText(500),
  /** The heading in the file, normalized; shown to shoppers until a facet has its own label. */
  name: text(2000),
  role: oneOf(fieldRoles),
  kind: oneOf(fieldKinds),
  /** The kind chosen by the designer; inferred from the values if absent. */
  given: oneOf(fieldKinds).optional(),
  /** Whether the designer assigned the values to products or to variants; inferred from the values if absent. */
  level: oneOf(fieldLevels).optional(),
  /** The unit of its numbers, such as `cm`, once values with units were converted to numbers. */
  unit: text(60).optional(),
  /** Its values are used as the products' titles, although it is an ordinary field and can be a facet too. */
  titles: mixed<true>((value): value is true => value === true)
    .optional()
    .meta(said(() => ({ const: true }), { optional: true })),
});

export type Field = InferType<typeof fieldSchema>;
