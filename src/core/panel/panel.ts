import type { DisplayName } from "../displays/displays.ts";
import { countingOf } from "../displays/shop-facts.ts";
import type { Facet, Mode, RangeSpec } from "../engine/question.ts";
import { type Band, resolve } from "../settings/band.ts";
import { type SettingValues, settingOn, settingsOn } from "../settings/settings.ts";
import { allOptions, engineMerges, wordsIn } from "./options.ts";
import { panelFormat } from "./panel-format.ts";
import type { FacetRow, OptionRules, PanelDocument, Row } from "./panel-schema.ts";

/** A new facet with defaults. */
export const newFacet = (
  id: string,
  field: string,
  display: DisplayName,
  mode: Mode,
  settings: SettingValues = {},
): FacetRow => ({
  kind: "facet",
  id,
  field,
  label: "",
  display: { wide: display },
  mode,
  settings,
});

/** A new panel without rows: beside the products, and on phones in a drawer. */
export const emptyPanel = (name: string): PanelDocument => ({
  format: panelFormat,
  name,
  placement: { wide: "left", slim: "drawer" },
  rows: [],
});

/** Whether a row is a facet, and not a piece. */
export const isFacet = (row: Row): row is FacetRow => row.kind === "facet";

/** The rows of a panel that are facets, in order. */
export const facetRows = (panel: Pick<PanelDocument, "rows">): FacetRow[] => panel.rows.filter(isFacet);

/** The rules for a facet's options; by default all are shown. */
export const rulesOf = ({ options }: Pick<FacetRow, "options">): OptionRules => options ?? allOptions;

/** A row's label in a language; empty if shoppers read the field's name or nothing. */
export const rowLabel = ({ label, labels }: Pick<Row, "label" | "labels">, language: string): string =>
  wordsIn({ text: label, others: labels }, language);

/** A panel's facets for the engine on a band, each field once; fields of link lists are included. */
export function engineFacets(panel: Pick<PanelDocument, "rows">, band: Band): Facet[] {
  const facets = new Map<string, Facet>();
  for (const row of facetRows(panel)) {
    const known = facets.get(row.field);
    const ranges = rangesOn(row, band);
    const bent = row.mode === "range" && settingOn(row.settings, "scale", band) === "bent";
    if (known) {
      if (ranges && !known.ranges) facets.set(row.field, { ...known, ranges });
      continue;
    }
    const merges = engineMerges(rulesOf(row));
    facets.set(row.field, {
      field: row.field,
      mode: row.mode,
      ...(merges ? { merges } : {}),
      ...(ranges ? { ranges } : {}),
      ...(bent ? { bent } : {}),
    });
  }
  for (const row of panel.rows) {
    if (row.kind === "piece" && "field" in row && !facets.has(row.field))
      facets.set(row.field, { field: row.field, mode: row.mode });
  }
  return [...facets.values()];
}

/** The ranges in which a facet is counted, if its display on this band shows ranges. */
function rangesOn({ display, mode, settings }: FacetRow, band: Band): RangeSpec | undefined {
  return mode === "range" ? countingOf(resolve(display, band))?.(settingsOn(settings, band)) : undefined;
}
