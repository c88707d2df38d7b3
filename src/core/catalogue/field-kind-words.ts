import { type FieldKind, fieldKindFacts } from "./field-kinds.ts";

/** A kind of field in the designer's words. */
interface FieldKindWords {
  /** Its name. */
  label: string;
  /** One value of this kind, as used in a sentence, like “a number”. */
  one: string;
  /** An example value, if the format matters. */
  example?: string;
}

export const fieldKindWords: Record<FieldKind, FieldKindWords> = {
  text: { label: "text", one: "a text" },
  number: { label: "number", one: "a number", example: "12.50" },
  date: { label: "date", one: "a date", example: "2026-03-31" },
  year: { label: "year", one: "a year", example: "1994" },
  "yes-no": { label: "yes / no", one: "yes or no" },
  path: { label: "category path", one: "a category" },
  colour: { label: "colour", one: "a colour" },
};

/** The field kinds, in the order in which a designer chooses among them. */
export const fieldKinds = Object.keys(fieldKindWords).filter((name): name is FieldKind =>
  Object.hasOwn(fieldKindFacts, name),
);
