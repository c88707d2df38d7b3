import type { Field } from "../catalogue/field.ts";
import type { Row } from "./panel-schema.ts";
import { pieceLabels } from "./pieces.ts";

/** A row's name in the tool: its label, otherwise the field's name. */
export function rowTitle(row: Row, fieldOf: (key: string) => Pick<Field, "name"> | undefined): string {
  if (row.label) return row.label;
  if (row.kind === "facet") return fieldOf(row.field)?.name ?? row.field;
  return row.piece === "links" ? `Links: ${fieldOf(row.field)?.name ?? row.field}` : pieceLabels[row.piece];
}
