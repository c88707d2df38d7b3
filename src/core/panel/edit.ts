import type { Edit } from "../document/edit.ts";
import { type Band, type BandLimits, withBand, withoutBand } from "./bands.ts";
import type { FacetRow, PanelDocument, Placement, Row } from "./document.ts";

/** One step over a panel. */
export type PanelEdit = Edit<PanelDocument>;

const rowsEdit = (words: string, change: (rows: Row[]) => Row[]): PanelEdit => ({
  words,
  apply: (panel) => ({ ...panel, rows: change(panel.rows) }),
});

const rowEdit = <R extends Row>(words: string, id: string, change: (row: R) => R): PanelEdit =>
  rowsEdit(words, (rows) => rows.map((row) => (row.id === id ? change(row as R) : row)));

/** Puts a row at a place; at the end when none is given. */
export const addRow = (row: Row, name: string, at = Number.POSITIVE_INFINITY): PanelEdit =>
  rowsEdit(`Add ${name}`, (rows) => [...rows.slice(0, at), row, ...rows.slice(at)]);

export const removeRow = (id: string, name: string): PanelEdit => rowsEdit(`Remove ${name}`, (rows) => rows.filter((row) => row.id !== id));

/** Takes the row out and puts it back so that it stands at place `to`, held within the list. */
export const moveRow = (id: string, to: number, name: string): PanelEdit =>
  rowsEdit(`Move ${name}`, (rows) => {
    const row = rows.find((one) => one.id === id);
    if (!row) return rows;
    const rest = rows.filter((one) => one.id !== id);
    const place = Math.max(0, Math.min(to, rest.length));
    return [...rest.slice(0, place), row, ...rest.slice(place)];
  });

export const setLabel = (id: string, label: string, name: string): PanelEdit =>
  rowEdit(`Rename ${name}`, id, (row) => ({ ...row, label: label.trim().slice(0, 200) }));

/** Puts a changed row in the place of the one with its id. */
export const replaceRow = (row: Row, words: string): PanelEdit => rowEdit<Row>(words, row.id, () => row);

export const followDisplay = (id: string, band: Band, name: string): PanelEdit =>
  rowEdit<FacetRow>(`Let ${name} on ${band} follow the wider band`, id, (row) => ({ ...row, display: withoutBand(row.display, band) }));

/** Settings of a facet that are one plain value each. */
export type FacetSettings = Pick<FacetRow, "mode" | "start" | "counting" | "deadEnd" | "order" | "foldAfter">;

export const setFacet = (id: string, settings: Partial<FacetSettings>, words: string): PanelEdit =>
  rowEdit<FacetRow>(words, id, (row) => ({ ...row, ...settings }));

export const setPlacement = (band: Band, placement: Placement): PanelEdit => ({
  words: `Place the panel on ${band}: ${placement}`,
  apply: (panel) => ({ ...panel, placement: withBand(panel.placement, band, placement) }),
});

export const followPlacement = (band: Band): PanelEdit => ({
  words: `Let the panel on ${band} follow the wider band`,
  apply: (panel) => ({ ...panel, placement: withoutBand(panel.placement, band) }),
});

/** Moves the band limits. They keep 100 px between them and stay on the ruler. */
export const setLimits = (limits: BandLimits): PanelEdit => ({
  words: "Move a band limit",
  apply: (panel) => {
    const medium = Math.round(Math.max(320, Math.min(limits.medium, 1500)));
    const wide = Math.round(Math.max(medium + 100, Math.min(limits.wide, 1600)));
    return { ...panel, limits: { medium, wide } };
  },
});

export const renamePanel = (name: string): PanelEdit => ({
  words: `Rename the panel to ${name}`,
  apply: (panel) => ({ ...panel, name: name.trim().slice(0, 100) || panel.name }),
});
