import { type FieldRole, isFacetable } from "../../core/catalogue/field.ts";
import { isNested } from "../../core/catalogue/field-kinds.ts";
import { combineEdits } from "../../core/document/edit.ts";
import { addRow, type PanelEdit } from "../../core/panel/edit.ts";
import { allOptions } from "../../core/panel/options.ts";
import { newFacet } from "../../core/panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../../core/panel/panel-schema.ts";
import { type LinksPiece, newPiece, type PieceRow, pieceNames, pieceOf } from "../../core/panel/pieces.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { suggestFacet, suggestRow } from "../../core/panel/suggest/suggest.ts";
import type { OpenShop } from "../shell/shop-context.ts";

/** Fields without a facet in the panel: those worth one first, then by reach. */
export function freeFields({ profiles }: OpenShop, panel: PanelDocument) {
  const used = new Set(panel.rows.flatMap((row) => (row.kind === "facet" ? [row.field] : [])));
  return profiles
    .filter(({ field }) => isFacetable(field) && !used.has(field.key))
    .map((profile) => ({ profile, suggestion: suggestFacet(profile) }))
    .sort((a, b) => Number(b.suggestion.worth) - Number(a.suggestion.worth) || b.profile.reach - a.profile.reach);
}

/** Adds every field worth a facet, as one step. */
export function addSuggested(shop: OpenShop, panel: PanelDocument): { count: number; edit: PanelEdit } {
  const worth = freeFields(shop, panel).filter(({ suggestion }) => suggestion.worth);
  const edits = worth.map(({ profile }) => addRow(suggestRow(profile), profile.field.name));
  return { count: worth.length, edit: combineEdits(`Add ${worth.length} suggested facets`, edits) };
}

const linked: readonly FieldRole[] = ["category", "collections", "brand", "type", "tags"];

/** Pieces that can be added, each with its edit; some only once. */
export function freePieces(
  { profiles }: OpenShop,
  panel: PanelDocument,
): { name: string; id: string; row: Row; edit: PanelEdit }[] {
  const has = (piece: string) => panel.rows.some((row) => row.kind === "piece" && row.piece === piece);
  const add = (name: string, row: PieceRow) => ({
    name,
    id: row.id,
    row,
    edit: addRow(row, name, pieceOf(row.piece).first ? 0 : undefined),
  });
  const pieces = pieceNames
    .filter((piece) => !(pieceOf(piece).once && has(piece)))
    .flatMap((piece) => {
      const id = freeId(panel.rows, piece);
      if (piece !== "links") return [add(pieceOf(piece).label, newPiece(piece, id))];
      return profiles
        .filter(({ field, reach }) => linked.includes(field.role) && reach > 0)
        .flatMap(({ field }) => {
          const tree = isNested(field);
          const links = (values: LinksPiece["values"]) =>
            newPiece(piece, id, { field: field.key, mode: tree ? "tree" : "any", values });
          const all = add(`Links: ${field.name}`, links("all"));
          return tree ? [add(`Links: ${field.name}, top level`, links({ below: "" })), all] : [all];
        });
    });
  return [...topLevels({ profiles }, panel), ...pieces];
}

/** For each category field, its top level as a row of tiles: an option includes its subcategories. */
function topLevels({ profiles }: Pick<OpenShop, "profiles">, panel: PanelDocument) {
  return profiles
    .filter(({ field, reach }) => isNested(field) && reach > 0)
    .map(({ field }) => {
      const name = `${field.name}: top level`;
      const row: FacetRow = {
        ...newFacet(freeId(panel.rows, `f-${field.key}-top`), field.key, "tiles", "tree", { share: { wide: "full" } }),
        options: { ...allOptions, below: "" },
      };
      return { name, id: row.id, row, edit: addRow(row, name) };
    });
}
