import type { Mode } from "../match/selection.ts";
import { type Banded, type BandLimits, defaultLimits } from "./bands.ts";

/** Version of the panel format that this code writes. */
export const panelFormat = 1;

/** Ways to show a facet. Each has a folder of its own among the storefront's displays. */
export const displayNames = ["check-boxes", "swatches", "dropdown", "tiles", "slider", "tree"] as const;
export type DisplayName = (typeof displayNames)[number];

/** Where a panel stands on a page: beside or above the products, behind a button in a drawer, or not at all. */
export const placements = ["left", "right", "above", "drawer", "absent"] as const;
export type Placement = (typeof placements)[number];

/** Whether a facet is open or folded when the page is opened, or cannot be folded. */
export const starts = ["open", "folded", "fixed"] as const;
export type Start = (typeof starts)[number];

/** No counts, counts of the whole page, or counts that follow what is chosen. */
export const countings = ["none", "steady", "live"] as const;
export type Counting = (typeof countings)[number];

/** What becomes of options that lead nowhere. */
export const deadEnds = ["keep", "fade", "drop"] as const;
export type DeadEnd = (typeof deadEnds)[number];

/** The order of a facet's options. `natural` puts 9 cm before 10 cm. */
export const optionOrders = ["count", "name", "natural"] as const;
export type OptionOrder = (typeof optionOrders)[number];

/** A row of the panel that asks shoppers one question over one field. */
export interface FacetRow {
  kind: "facet";
  /** Unique in the panel. */
  id: string;
  /** Key of the catalogue's field. */
  field: string;
  /** What shoppers read above the options; the field's name when empty. */
  label: string;
  display: Banded<DisplayName>;
  mode: Mode;
  start: Start;
  counting: Counting;
  deadEnd: DeadEnd;
  order: OptionOrder;
  /** Options shown before “show all”; 0 shows all of them. */
  foldAfter: number;
}

/** What can stand in a panel and is not a facet. */
export const pieceNames = ["search", "chosen"] as const;
export type PieceName = (typeof pieceNames)[number];

/** A row of the panel that is not a facet: a search field, or the chosen filters with clear all. */
export interface PieceRow {
  kind: "piece";
  id: string;
  piece: PieceName;
  label: string;
}

export type Row = FacetRow | PieceRow;

/** A filter panel: an ordered list of facets and pieces, and where it stands. The one document that is saved. */
export interface PanelDocument {
  format: typeof panelFormat;
  /** For the designer only. */
  name: string;
  limits: BandLimits;
  placement: Banded<Placement>;
  rows: Row[];
}

/** What a facet is until the designer changes it. */
export const facetDefaults = {
  kind: "facet",
  label: "",
  mode: "any",
  start: "open",
  counting: "live",
  deadEnd: "fade",
  order: "count",
  foldAfter: 8,
} as const satisfies Partial<FacetRow>;

export const pieceLabels: Record<PieceName, string> = { search: "Search", chosen: "Chosen filters" };

export function emptyPanel(name: string): PanelDocument {
  return { format: panelFormat, name, limits: defaultLimits, placement: { wide: "left", slim: "drawer" }, rows: [] };
}

export const isFacet = (row: Row): row is FacetRow => row.kind === "facet";

export const facetRows = (panel: PanelDocument): FacetRow[] => panel.rows.filter(isFacet);

/** The facets of a panel as the engine asks for them. */
export const engineFacets = (panel: PanelDocument): { field: string; mode: Mode }[] => facetRows(panel).map(({ field, mode }) => ({ field, mode }));
