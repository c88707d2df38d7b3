import type { Field } from "../catalogue/field.ts";
import type { Row } from "./panel-schema.ts";
import { pieceOf } from "./pieces.ts";

/** A row's name in the tool: its label, otherwise the field's name. */
export function rowTitle(row: Row, fieldOf: (key: string) => Pick<Field, "name"> | undefined): string {
  if (row.label) return row.label;
  const nameOf = (field: string) => fieldOf(field)?.name ?? field;
  if (row.kind === "facet") return nameOf(row.field);
  const { label, title } = pieceOf(row.piece);
  return title?.(row, nameOf) ?? label;
}
