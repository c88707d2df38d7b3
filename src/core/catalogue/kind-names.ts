import type { FieldKind } from "./field.ts";

/** The designer's name for each kind of values. */
export const kindNames: Record<FieldKind, string> = {
  text: "text",
  number: "number",
  date: "date",
  "yes-no": "yes / no",
  path: "category path",
  colour: "colour",
};
