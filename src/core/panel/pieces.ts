import type { Words } from "./options.ts";

/** A row of the panel that is not a facet. All share an id and, where shoppers read or hear one, a label. */
interface PieceBase<P extends string> {
  kind: "piece";
  id: string;
  piece: P;
  label: string;
  labels?: Words["others"];
}

/** A field to search the products by words. */
export type SearchPiece = PieceBase<"search">;
/** What is chosen, each to be taken back, and a clear all. */
export type ChosenPiece = PieceBase<"chosen">;
/** A button that takes every choice back. */
export type ClearPiece = PieceBase<"clear">;
/** How many products there are. */
export type CountPiece = PieceBase<"count">;
/** A line between rows. */
export type DividerPiece = PieceBase<"divider">;
/** A heading of level 2 to 4; its label is the text. */
export type HeadingPiece = PieceBase<"heading"> & { level: 2 | 3 | 4 };
/** Text with simple markup. */
export type TextPiece = PieceBase<"text"> & { html: string };
/** A picture; its label is the alternative text. */
export type PicturePiece = PieceBase<"picture"> & { src: string; href: string };
/** Links that each lead to the shop's page with one value of a field chosen. */
export type LinksPiece = PieceBase<"links"> & { field: string; mode: "any" | "tree"; values: "all" | readonly string[]; counts: boolean };

export type PieceRow = SearchPiece | ChosenPiece | ClearPiece | CountPiece | DividerPiece | HeadingPiece | TextPiece | PicturePiece | LinksPiece;
export type PieceName = PieceRow["piece"];

/** What the designer reads for each kind of piece. */
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

export const pieceNames = Object.keys(pieceLabels) as PieceName[];

/** A piece as it is until the designer changes it. @param of for links, the field whose values they are */
export function newPiece(piece: PieceName, id: string, of: Pick<LinksPiece, "field" | "mode"> = { field: "", mode: "any" }): PieceRow {
  const base = { kind: "piece" as const, id };
  if (piece === "heading") return { ...base, piece, label: "Find your way", level: 3 };
  if (piece === "text") return { ...base, piece, label: "", html: "<p>A few words for shoppers.</p>" };
  if (piece === "picture") return { ...base, piece, label: "", src: "", href: "" };
  if (piece === "links") return { ...base, piece, label: "", ...of, values: "all", counts: true };
  if (piece === "divider" || piece === "count") return { ...base, piece, label: "" };
  return { ...base, piece, label: { search: "Search", chosen: "Chosen filters", clear: "Clear all" }[piece] };
}

/** Where a link may go: the web, mail and telephone, or a place of the shop itself. Anything else could be made to run. */
export const isSafeAddress = (address: string): boolean =>
  /^(?:https?:\/\/|mailto:|tel:)/i.test(address) || (/^[/?#]/.test(address) && !/^\/[/\\]/.test(address));

/** Where a picture may come from: the web or the shop itself. */
export const isSafePicture = (address: string): boolean => /^https?:\/\//i.test(address) || (/^\//.test(address) && !/^\/[/\\]/.test(address));
