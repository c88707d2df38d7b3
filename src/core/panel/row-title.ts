import type { Field } from "../catalogue/field.ts";
import type { Row } from "./panel-schema.ts";
import { pieceLabels } from "./pieces.ts";

/** What a row is called where its designer reads of it: by its label, else by the field. */
export function rowTitle(row: Row, fieldOf: (key: string) => Pick<Field, "name"> | undefined): string {
  if (row.label) return row.label;
  if (row.kind === "facet") return fieldOf(row.field)?.name ?? row.field;
  return row.piece === "links" ? `Links: ${fieldOf(row.field)?.name ?? row.field}` : pieceLabels[row.piece];
}
