import type { BandSpec, Facet, Mode } from "../match/selection.ts";
import { type Band, type Banded, type BandLimits, defaultLimits, resolve } from "./bands.ts";
import { allOptions, engineMerges, type OptionRules, type Words, wordsIn } from "./options.ts";
import type { PieceRow } from "./pieces.ts";
import { type SettingValues, settingOn } from "./settings.ts";

/** Version of the panel format that this code writes. */
export const panelFormat = 2;

/** Ways to show a facet. Each has a folder of its own among the storefront's displays. */
export const displayNames = [
  "check-boxes",
  "radio-buttons",
  "swatch-boxes",
  "swatches",
  "picture-tiles",
  "tiles",
  "tags",
  "toggles",
  "plain-list",
  "tree",
  "dropdown",
  "search-field",
  "switch",
  "slider",
  "slider-inputs",
  "number-inputs",
  "bands",
  "stars",
  "dates",
] as const;
export type DisplayName = (typeof displayNames)[number];

/** Where a panel stands on a page: beside or above the products, behind a button in a drawer, or not at all. */
export const placements = ["left", "right", "above", "drawer", "absent"] as const;
export type Placement = (typeof placements)[number];

/** A row of the panel that asks shoppers one question over one field. */
export interface FacetRow {
  kind: "facet";
  /** Unique in the panel. */
  id: string;
  /** Key of the catalogue's field. Two rows of one field share their choice, mode and merged options. */
  field: string;
  /** What shoppers read above the options; the field's name when empty. */
  label: string;
  /** The label in other languages. */
  labels?: Words["others"];
  display: Banded<DisplayName>;
  mode: Mode;
  /** What is not at its default. */
  settings: SettingValues;
  /** Absent where shoppers get all options as the catalogue spells them. */
  options?: OptionRules;
}

export type Row = FacetRow | PieceRow;

/** A filter panel: an ordered list of facets and pieces, and where it stands. The one document that is saved. */
export interface PanelDocument {
  format: typeof panelFormat;
  /** For the designer only. */
  name: string;
  /** BCP 47 tags of the languages that labels are given in beside the panel's own. */
  languages: readonly string[];
  limits: BandLimits;
  placement: Banded<Placement>;
  rows: Row[];
}

/** A facet as it is until the designer changes it. */
export const newFacet = (id: string, field: string, display: DisplayName, mode: Mode, settings: SettingValues = {}): FacetRow => ({
  kind: "facet",
  id,
  field,
  label: "",
  display: { wide: display },
  mode,
  settings,
});

export function emptyPanel(name: string): PanelDocument {
  return { format: panelFormat, name, languages: [], limits: defaultLimits, placement: { wide: "left", slim: "drawer" }, rows: [] };
}

export const isFacet = (row: Row): row is FacetRow => row.kind === "facet";

export const facetRows = (panel: PanelDocument): FacetRow[] => panel.rows.filter(isFacet);

export const rulesOf = ({ options }: FacetRow): OptionRules => options ?? allOptions;

/** What shoppers read for a row in a language; empty where they read the field's name or nothing. */
export const rowLabel = ({ label, labels }: Row, language: string): string => wordsIn({ text: label, others: labels }, language);

/** Stars and up: from four down to one. Common practice, no source. */
const starsFrom = [4, 3, 2, 1];

/** The facets of a panel as the engine asks for them on a band, a field once; fields of link lists are counted too. */
export function engineFacets(panel: PanelDocument, band: Band): Facet[] {
  const facets = new Map<string, Facet>();
  for (const row of facetRows(panel)) {
    const known = facets.get(row.field);
    const bands = bandSpec(row, band);
    if (known) {
      if (bands && !known.bands) facets.set(row.field, { ...known, bands });
      continue;
    }
    const merges = engineMerges(rulesOf(row));
    facets.set(row.field, { field: row.field, mode: row.mode, ...(merges ? { merges } : {}), ...(bands ? { bands } : {}) });
  }
  for (const row of panel.rows) {
    if (row.kind === "piece" && row.piece === "links" && !facets.has(row.field)) facets.set(row.field, { field: row.field, mode: row.mode });
  }
  return [...facets.values()];
}

/** The bands that a facet is to be counted in, when its display on this band shows some. */
function bandSpec({ display, mode, settings }: FacetRow, band: Band): BandSpec | undefined {
  if (mode !== "range") return undefined;
  const shown = resolve(display, band);
  if (shown === "stars") return { from: starsFrom };
  if (shown !== "bands") return undefined;
  const by = settingOn(settings, "banding", band);
  return by === "typed" ? { limits: settingOn(settings, "bandLimits", band) } : { by, parts: settingOn(settings, "bandCount", band) };
}
