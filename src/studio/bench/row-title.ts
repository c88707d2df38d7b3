import type { Field } from "../../core/catalogue/field.ts";
import type { Row } from "../../core/panel/panel-schema.ts";
import { pieceLabels } from "../../core/panel/pieces.ts";

/** A row's name: the designer's label, else the field's. */
export function rowTitle(row: Row, fieldOf: (key: string) => Field | undefined): string {
  if (row.label) return row.label;
  if (row.kind === "facet") return fieldOf(row.field)?.name ?? row.field;
  return row.piece === "links" ? `Links: ${fieldOf(row.field)?.name ?? row.field}` : pieceLabels[row.piece];
}
