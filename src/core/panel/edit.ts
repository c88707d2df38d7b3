import type { Edit } from "../document/edit.ts";
import type { Mode } from "../match/selection.ts";
import { type Band, type Banded, type BandLimits, withBand, withoutBand } from "./bands.ts";
import { type FacetRow, isFacet, type PanelDocument, type Placement, type Row } from "./document.ts";
import { allOptions, type OptionRules } from "./options.ts";
import { facetSettings } from "./setting-definitions.ts";
import { bandedSetting, type FacetSettings, isBanded, type SettingName, withSetting } from "./settings.ts";

/** One step over a panel. */
export type PanelEdit = Edit<PanelDocument>;

const rowsEdit = (words: string, change: (rows: Row[]) => Row[]): PanelEdit => ({
  words,
  apply: (panel) => ({ ...panel, rows: change(panel.rows) }),
});

const rowEdit = <R extends Row>(words: string, id: string, change: (row: R) => R): PanelEdit =>
  rowsEdit(words, (rows) => rows.map((row) => (row.id === id ? change(row as R) : row)));

/** Several edits as one step. */
export const together = (words: string, edits: readonly PanelEdit[]): PanelEdit => ({
  words,
  apply: (panel) => edits.reduce((now, edit) => edit.apply(now), panel),
});

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

/** An id like `id` that no row of the panel has. */
export function freeId(rows: readonly Row[], id: string): string {
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? id : `${id.slice(0, 36)}-${n}`;
    if (!rows.some((row) => row.id === candidate)) return candidate;
  }
}

/** Puts a copy of a row behind it. */
export const duplicateRow = (id: string, name: string): PanelEdit =>
  rowsEdit(`Duplicate ${name}`, (rows) => rows.flatMap((row) => (row.id === id ? [row, { ...row, id: freeId(rows, id) }] : [row])));

export const setLabel = (id: string, label: string, name: string): PanelEdit =>
  rowEdit(`Rename ${name}`, id, (row) => ({ ...row, label: label.trim().slice(0, 200) }));

/** The label in another language; an empty one is taken away. */
export const setTranslation = (id: string, language: string, label: string, name: string): PanelEdit =>
  rowEdit(`${name} in ${language}`, id, ({ labels = {}, ...row }) => {
    const { [language]: _old, ...others } = labels;
    const next = label.trim() === "" ? others : { ...others, [language]: label.trim().slice(0, 200) };
    return (Object.keys(next).length === 0 ? row : { ...row, labels: next }) as Row;
  });

/** Puts a changed row in the place of the one with its id. Rows over the same field share mode and merged options, so they follow. */
export const replaceRow = (row: Row, words: string): PanelEdit =>
  rowsEdit(words, (rows) => {
    const changed = rows.map((one) => (one.id === row.id ? row : one));
    return isFacet(row) ? changed.map((one) => follow(one, row)) : changed;
  });

/** What rows over one field must have in common, taken from the one that was changed. */
function follow(one: Row, changed: FacetRow): Row {
  if (!isFacet(one) || one.id === changed.id || one.field !== changed.field) return one;
  const merges = changed.options?.merges ?? [];
  const same = JSON.stringify(one.options?.merges ?? []) === JSON.stringify(merges);
  const options = same ? one.options : { ...(one.options ?? allOptions), merges };
  return { ...one, mode: changed.mode, ...(options ? { options } : {}) };
}

export const setMode = (row: FacetRow, mode: Mode, words: string): PanelEdit => replaceRow({ ...row, mode }, words);

export const followDisplay = (id: string, band: Band, name: string): PanelEdit =>
  rowEdit<FacetRow>(`Let ${name} on ${band} follow the wider band`, id, (row) => ({ ...row, display: withoutBand(row.display, band) }));

/** Sets one setting, on every band alike unless a band is named. */
export function setSetting<K extends SettingName>(id: string, name: K, value: FacetSettings[K], title: string, band?: Band): PanelEdit {
  const words = `${title}: ${facetSettings[name].label.toLowerCase()} ${spoken(name, value)}${band && isBanded(name) ? ` on ${band}` : ""}`;
  return rowEdit<FacetRow>(words, id, (row) => ({ ...row, settings: settingChanged(row, name, value, band) }));
}

function settingChanged<K extends SettingName>({ settings }: FacetRow, name: K, value: FacetSettings[K], band: Band | undefined) {
  if (!isBanded(name)) return withSetting(settings, name, value);
  const next: Banded<FacetSettings[K]> = band ? withBand(bandedSetting(settings, name), band, value) : { wide: value };
  return withSetting(settings, name, next);
}

/** A setting's value in words. */
export function spoken<K extends SettingName>(name: K, value: FacetSettings[K]): string {
  const definition = facetSettings[name];
  if (definition.kind === "choice") return definition.choices[String(value)] ?? String(value);
  if (definition.kind === "yes-no") return value ? "on" : "off";
  if (definition.kind === "numbers") return (value as readonly number[]).join(", ") || "none";
  if (definition.kind === "text") return value === "" ? "none" : `“${value}”`;
  if (value === null || (value === 0 && definition.none)) return definition.none ?? "not set";
  return `${value}${definition.unit ? ` ${definition.unit}` : ""}`;
}

/** Lets a narrower band follow the wider one in one setting. */
export const followSetting = (id: string, name: SettingName, band: Band, title: string): PanelEdit =>
  rowEdit<FacetRow>(`${title}: ${facetSettings[name].label.toLowerCase()} on ${band} as on the wider band`, id, (row) => ({
    ...row,
    settings: withSetting(row.settings, name, withoutBand(bandedSetting(row.settings, name), band)),
  }));

/** Puts one setting back to its default. */
export const resetSetting = (id: string, name: SettingName, title: string): PanelEdit =>
  rowEdit<FacetRow>(`${title}: ${facetSettings[name].label.toLowerCase()} back to its default`, id, (row) => ({
    ...row,
    settings: withSetting(row.settings, name, undefined),
  }));

/** Gives other facets all the settings of one. */
export const copySettings = (from: FacetRow, to: ReadonlySet<string>, title: string): PanelEdit =>
  rowsEdit(`Copy the settings of ${title} to ${to.size} ${to.size === 1 ? "facet" : "facets"}`, (rows) =>
    rows.map((row) => (isFacet(row) && to.has(row.id) ? { ...row, settings: from.settings } : row)),
  );

/** Changes which options shoppers get and what they are called. */
export const setOptions = (row: FacetRow, rules: OptionRules, words: string): PanelEdit => {
  const { options: _old, ...rest } = row;
  const plain = JSON.stringify(rules) === JSON.stringify(allOptions);
  return replaceRow(plain ? rest : { ...rest, options: rules }, words);
};

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

/** The languages that labels are given in beside the panel's own. */
export const setLanguages = (languages: readonly string[]): PanelEdit => ({
  words: languages.length === 0 ? "One language only" : `Languages: ${languages.join(", ")}`,
  apply: (panel) => ({ ...panel, languages: [...new Set(languages)] }),
});
