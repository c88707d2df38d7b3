import type { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { pieceLabels, type Row } from "../../core/panel/document.ts";

/** A row's name: the designer's label, else the field's. */
export function rowTitle(row: Row, index: CatalogueIndex): string {
  if (row.label) return row.label;
  return row.kind === "piece" ? pieceLabels[row.piece] : (index.field(row.field)?.name ?? row.field);
}
