import type { FieldKind } from "./field.ts";

/** What the designer reads for each kind of values. */
export const kindNames: Record<FieldKind, string> = {
  text: "text",
  number: "number",
  date: "date",
  "yes-no": "yes / no",
  path: "category path",
  colour: "colour",
};
