import { settingDefinition } from "../settings/setting-definitions.ts";
import type { SettingName, SettingValues } from "../settings/settings.ts";
import { supportedSettings } from "./choose-display.ts";
import type { PanelEdit } from "./edit.ts";
import type { FacetRow } from "./panel-schema.ts";

/** Settings in a field's own numbers and values, which would be wrong for another field. */
const ofItsField: ReadonlySet<SettingName> = new Set([
  ...(["ends", "min", "max", "step", "prefix", "suffix", "decimals"] as const),
  ...(["rangeBy", "rangeCount", "rangeLimits", "hint"] as const),
]);

/**
 * Settings to copy to another facet: those that were set, that its displays support, and that don't depend on the
 * first one's field.
 */
export function copiedSettings(from: FacetRow, to: FacetRow): SettingName[] {
  const heeded = new Set(supportedSettings(to));
  return (Object.keys(from.settings) as SettingName[]).filter(
    (name) =>
      from.settings[name] !== undefined && heeded.has(name) && !(ofItsField.has(name) && from.field !== to.field),
  );
}

/**
 * Copies one facet's settings to others, as far as they fit; other settings are kept.
 * @param title of the first one, in sentences
 */
export function copySettings(from: FacetRow, to: readonly FacetRow[], title: string): PanelEdit {
  const names = new Map(to.map((row) => [row.id, copiedSettings(from, row)]));
  const all = [...new Set([...names.values()].flat())].map((name) => settingDefinition(name).label.toLowerCase());
  const count = [...names.values()].filter((some) => some.length > 0).length;
  return {
    words:
      count === 0
        ? `The other facets can’t use the settings of ${title}`
        : `Copy from ${title} to ${count} ${count === 1 ? "facet" : "facets"}: ${all.join(", ")}`,
    change: ({ rows }) => {
      for (const row of rows) {
        const some = names.get(row.id);
        if (row.kind !== "facet" || !some) continue;
        const copied: SettingValues = Object.fromEntries(
          some.map((name) => [name, structuredClone(from.settings[name])]),
        );
        row.settings = { ...row.settings, ...copied };
      }
    },
  };
}
