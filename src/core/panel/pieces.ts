import { parentOf } from "../catalogue/path.ts";
import type { LinksPiece, PieceName, PieceRow } from "./panel-schema.ts";

/** The designer's name for each kind of piece. */
export const pieceLabels: Record<PieceName, string> = {
  search: "Search field",
  chosen: "Chosen filters",
  clear: "Clear all",
  count: "Result count",
  heading: "Heading",
  text: "Text",
  picture: "Picture",
  links: "Links",
  divider: "Divider",
};

/** The kinds of pieces, in the order in which they are offered. */
export const pieceNames = Object.keys(pieceLabels) as PieceName[];

/** Whether a piece of links has one for a value. */
export function hasLink({ values }: Pick<LinksPiece, "values">, id: string): boolean {
  if (values === "all") return true;
  if (Array.isArray(values)) return values.includes(id);
  return "below" in values ? parentOf(id) === values.below : !values.except.includes(id);
}

/** A piece as it is until the designer changes it. @param of for links, the field whose values they are */
export function newPiece(
  piece: PieceName,
  id: string,
  of: Pick<LinksPiece, "field" | "mode"> & Partial<Pick<LinksPiece, "values">> = { field: "", mode: "any" },
): PieceRow {
  const base = { kind: "piece" as const, id };
  if (piece === "heading") return { ...base, piece, label: "Find your way", level: 3 };
  if (piece === "text") return { ...base, piece, label: "", html: "<p>A few words for shoppers.</p>" };
  if (piece === "picture") return { ...base, piece, label: "", src: "", href: "" };
  if (piece === "links") return { ...base, piece, label: "", values: "all", ...of, counts: true };
  if (piece === "divider" || piece === "count") return { ...base, piece, label: "" };
  return { ...base, piece, label: { search: "Search", chosen: "Chosen filters", clear: "Clear all" }[piece] };
}
