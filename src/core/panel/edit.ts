import type { Edit } from "../document/edit.ts";
import type { Mode } from "../engine/question.ts";
import type { TokenValues } from "../look/resolve.ts";
import { type Band, withBand, withoutBand } from "../settings/band.ts";
import { type Behaviour, type BehaviourName, type BehaviourValues, behaviours } from "../settings/behaviour.ts";
import { behaviourDefinition } from "../settings/behaviour-definitions.ts";
import type { Placement } from "../settings/placement.ts";
import { type SettingDefinition, settingDefinition } from "../settings/setting-definitions.ts";
import { bandedSetting, type FacetSettings, isBanded, type SettingName, withSetting } from "../settings/settings.ts";
import { isFacet } from "./panel.ts";
import type { FacetRow, PanelDocument, Row } from "./panel-schema.ts";
import { freeId } from "./row-id.ts";

/** One step over a panel. */
export type PanelEdit = Edit<PanelDocument>;

/** Changes one row in place, where it is there. */
const rowEdit = (words: string, id: string, change: (row: Row) => void): PanelEdit => ({
  words,
  change: ({ rows }) => {
    const row = rows.find((one) => one.id === id);
    if (row) change(row);
  },
});

/** Changes one facet in place, where it is there. */
export const facetEdit = (
  words: string,
  id: string,
  change: (row: FacetRow, panel: PanelDocument) => void,
): PanelEdit => ({
  words,
  change: (panel) => {
    const row = panel.rows.filter(isFacet).find((one) => one.id === id);
    if (row) change(row, panel);
  },
});

/** Puts a row at a place; at the end when none is given. */
export const addRow = (row: Row, name: string, at = Number.POSITIVE_INFINITY): PanelEdit => ({
  words: `Add ${name}`,
  change: ({ rows }) => {
    rows.splice(Math.min(at, rows.length), 0, row);
  },
});

/** Takes a row out. */
export const removeRow = (id: string, name: string): PanelEdit => ({
  words: `Remove ${name}`,
  change: ({ rows }) => {
    const at = rows.findIndex((row) => row.id === id);
    if (at >= 0) rows.splice(at, 1);
  },
});

/** Moves a row to index `to`, clamped to the list. */
export const moveRow = (id: string, to: number, name: string): PanelEdit => ({
  words: `Move ${name} to position ${Math.max(0, to) + 1}`,
  change: ({ rows }) => {
    const from = rows.findIndex((row) => row.id === id);
    const [row] = from < 0 ? [] : rows.splice(from, 1);
    if (row) rows.splice(Math.max(0, Math.min(to, rows.length)), 0, row);
  },
});

/** Inserts a copy of a row after it. */
export const duplicateRow = (row: Row, name: string): PanelEdit => ({
  words: `Duplicate ${name}`,
  change: ({ rows }) => {
    const at = rows.findIndex((one) => one.id === row.id);
    if (at >= 0) rows.splice(at + 1, 0, { ...structuredClone(row), id: freeId(rows, row.id) });
  },
});

/** A row's label in the shop’s own language; empty for the default. */
export const setLabel = (id: string, label: string, name: string): PanelEdit =>
  rowEdit(`Rename ${name}`, id, (row) => {
    row.label = label.trim().slice(0, 200);
  });

/** The label in another language; an empty one is removed. */
export const setTranslation = (id: string, language: string, label: string, name: string): PanelEdit =>
  rowEdit(`${name} in ${language}`, id, (row) => {
    const words = label.trim().slice(0, 200);
    if (words !== "") row.labels = { ...row.labels, [language]: words };
    else if (row.labels) {
      delete row.labels[language];
      if (Object.keys(row.labels).length === 0) delete row.labels;
    }
  });

/** Replaces the piece with the same id. */
export const replaceRow = (row: Row, words: string): PanelEdit => ({
  words,
  change: ({ rows }) => {
    const at = rows.findIndex((one) => one.id === row.id);
    if (at >= 0) rows[at] = row;
  },
});

/** How choices within a facet combine. All rows over its field follow, since they share their choice. */
export const setMode = (row: FacetRow, mode: Mode, words: string): PanelEdit => ({
  words,
  change: ({ rows }) => {
    for (const one of rows) if (one.kind === "facet" && one.field === row.field) one.mode = mode;
  },
});

/** Makes a narrower band follow the wider one's display. */
export const followDisplay = (id: string, band: Band, name: string): PanelEdit =>
  facetEdit(`Reset ${name} on ${band} to the wider band’s`, id, (row) => {
    row.display = withoutBand(row.display, band);
  });

/** Sets one setting, on every band unless one is given. */
export function setSetting<K extends SettingName>(
  id: string,
  name: K,
  value: FacetSettings[K],
  title: string,
  band?: Band,
): PanelEdit {
  const words = `${title}: ${labelOfSetting(name)} ${spoken(name, value)}${band && isBanded(name) ? ` on ${band}` : ""}`;
  return facetEdit(words, id, (row) => {
    const settings = row.settings;
    if (!isBanded(name)) row.settings = withSetting(settings, name, value);
    else
      row.settings = withSetting(
        settings,
        name,
        band ? withBand(bandedSetting(settings, name), band, value) : { wide: value },
      );
  });
}

const labelOfSetting = (name: SettingName): string => settingDefinition(name).label.toLowerCase();

/** A setting's value in words. */
export const spoken = (name: SettingName, value: unknown): string => spokenValue(settingDefinition(name), value);

/** A value in words, by its setting's definition. */
export function spokenValue(definition: SettingDefinition, value: unknown): string {
  if (definition.kind === "choice") return definition.choices[String(value)] ?? String(value);
  if (definition.kind === "yes-no") return value ? "on" : "off";
  if (definition.kind === "numbers") return (Array.isArray(value) ? value.join(", ") : "") || "none";
  if (definition.kind === "words") return Object.values(value as Record<string, string>).join(", ") || "none";
  if (definition.kind === "picture") return value === "" ? "none" : "a picture";
  if (definition.kind === "text") return value === "" ? "none" : `“${value}”`;
  if (value === null || (value === 0 && definition.none)) return definition.none ?? "not set";
  return `${value}${definition.unit ? ` ${definition.unit}` : ""}`;
}

/** Makes a narrower band follow the wider one in one setting. */
export const followSetting = (id: string, name: SettingName, band: Band, title: string): PanelEdit =>
  facetEdit(`${title}: ${labelOfSetting(name)} on ${band} same as on the wider band`, id, (row) => {
    const settings = row.settings;
    row.settings = withSetting(settings, name, withoutBand(bandedSetting(settings, name), band));
  });

/** Resets one setting to its default. */
export const resetSetting = (id: string, name: SettingName, title: string): PanelEdit =>
  facetEdit(`${title}: ${labelOfSetting(name)} back to its default`, id, (row) => {
    delete row.settings[name];
  });

/** Places the panel on a band, and on those that follow it. */
export const setPlacement = (band: Band, placement: Placement): PanelEdit => ({
  words: `Place the panel on ${band}: ${placement}`,
  change: (panel) => {
    panel.placement = withBand(panel.placement, band, placement);
  },
});

/** Makes a narrower band follow the wider one's placement. */
export const followPlacement = (band: Band): PanelEdit => ({
  words: `Reset the panel on ${band} to the wider band’s`,
  change: (panel) => {
    panel.placement = withoutBand(panel.placement, band);
  },
});

/** The panel’s name, which only the designer reads. */
export const renamePanel = (name: string): PanelEdit => ({
  words: `Rename the panel to ${name}`,
  change: (panel) => {
    panel.name = name.trim().slice(0, 100) || panel.name;
  },
});

/** Sets one behaviour of the panel, on every band unless one is given. */
export function setBehaviour<K extends BehaviourName>(name: K, value: Behaviour[K], band?: Band): PanelEdit {
  const definition = behaviourDefinition(name);
  const where = band && definition.banded ? ` on ${band}` : "";
  return {
    words: `The panel: ${definition.label.toLowerCase()} ${spokenValue(definition, value)}${where}`,
    change: (panel) => {
      const now = panel.behaviour ?? {};
      const next = !definition.banded
        ? value
        : band
          ? withBand(behaviours.banded(now, name), band, value)
          : { wide: value };
      putBehaviour(panel, behaviours.with(now, name, next));
    },
  };
}

/** Makes a narrower band follow the wider one in one behaviour. */
export const followBehaviour = (name: BehaviourName, band: Band): PanelEdit => ({
  words: `The panel: ${behaviourDefinition(name).label.toLowerCase()} on ${band} same as on the wider band`,
  change: (panel) => {
    const now = panel.behaviour ?? {};
    putBehaviour(panel, behaviours.with(now, name, withoutBand(behaviours.banded(now, name), band)));
  },
});

/** Resets one behaviour of the panel to its default. */
export const resetBehaviour = (name: BehaviourName): PanelEdit => ({
  words: `The panel: ${behaviourDefinition(name).label.toLowerCase()} back to its default`,
  change: (panel) => putBehaviour(panel, behaviours.with(panel.behaviour ?? {}, name, undefined)),
});

function putBehaviour(panel: PanelDocument, behaviour: BehaviourValues): void {
  if (Object.keys(behaviour).length === 0) delete panel.behaviour;
  else panel.behaviour = behaviour;
}

/** Gives the panel a look of its own; undefined for the shop's. */
export const setLook = (look: string | undefined, name: string): PanelEdit => ({
  words: `Look: ${name}`,
  change: (panel) => {
    if (look === undefined) delete panel.look;
    else panel.look = look;
  },
});

/** Gives a facet's options an option style of the look; undefined removes it. */
export const setOptionStyle = (id: string, style: string | undefined, words: string): PanelEdit =>
  facetEdit(words, id, (row) => {
    if (style === undefined) delete row.style;
    else row.style = style;
  });

/** Sets a facet's overrides of the look; none if nothing differs any more. */
export const setOverride = (id: string, values: TokenValues, words: string): PanelEdit =>
  facetEdit(words, id, (row) => {
    if (Object.keys(values).length === 0) delete row.look;
    else row.look = { ...values };
  });

/** Turns a facet's overrides into an option style. */
export const takeAsStyle = (id: string, style: string, words: string): PanelEdit =>
  facetEdit(words, id, (row) => {
    row.style = style;
    delete row.look;
  });
