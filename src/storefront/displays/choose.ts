import type { FieldProfile } from "../../core/evidence/profile.ts";
import { type Band, bands, resolve, withBand } from "../../core/panel/bands.ts";
import type { DisplayName, FacetRow } from "../../core/panel/document.ts";
import { type PanelEdit, replaceRow } from "../../core/panel/edit.ts";
import { type SettingName, settingNames } from "../../core/panel/settings.ts";
import { commonSettings } from "./display.ts";
import { displays } from "./index.ts";

/**
 * Shows a facet differently on one band. When the display cannot carry the facet's mode, the mode
 * changes to one that it can, and bands whose display cannot carry that one are changed with it:
 * a facet asks one question, whatever the width.
 */
export function chooseDisplay(row: FacetRow, band: Band, name: DisplayName, title: string): PanelEdit {
  const { label, modes } = displays[name];
  const mode = modes.includes(row.mode) ? row.mode : modes[0];
  let display = withBand(row.display, band, name);
  for (const other of bands) {
    if (!displays[resolve(display, other)].modes.includes(mode)) display = withBand(display, other, name);
  }
  return replaceRow({ ...row, mode, display }, `Show ${title} as ${label.toLowerCase()} on ${band}`);
}

/** The settings that the displays of a facet heed, on any band, in the order in which they are listed. */
export function heededSettings({ display }: FacetRow): SettingName[] {
  const heeded = new Set([...commonSettings, ...bands.flatMap((band) => displays[resolve(display, band)].settings)]);
  return settingNames.filter((name) => heeded.has(name));
}

/** The displays that suit a field, and for the others why not. */
export function displayChoices(profile: FieldProfile): { name: DisplayName; label: string; unsuited: string | undefined }[] {
  return Object.values(displays).map(({ name, label, unsuited }) => ({ name, label, unsuited: unsuited(profile) }));
}
