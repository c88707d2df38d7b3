import { commonSettings } from "../displays/display.ts";
import { type DisplayName, displayNames, displays } from "../displays/displays.ts";
import type { FieldProfile } from "../profile/profile.ts";
import { type Band, bands, resolve, withBand } from "../settings/band.ts";
import { type SettingName, settingNames } from "../settings/settings.ts";
import type { PanelEdit } from "./edit.ts";
import { isFacet } from "./panel.ts";
import type { FacetRow } from "./panel-schema.ts";

/**
 * Shows a facet differently on one band. When the display cannot carry the facet's mode, the mode
 * changes to one that it can, and bands whose display cannot carry that one are changed with it:
 * a facet asks one question, whatever the width. Other rows over the same field follow in both.
 */
export function chooseDisplay(row: FacetRow, band: Band, name: DisplayName, title: string): PanelEdit {
  const { label, modes } = displays[name];
  const mode = modes.includes(row.mode) ? row.mode : modes[0];
  return {
    words: `Show ${title} as ${label.toLowerCase()} on ${band}`,
    change: ({ rows }) => {
      for (const one of rows.filter(isFacet)) {
        if (one.field !== row.field) continue;
        if (one.id === row.id) one.display = withBand(one.display, band, name);
        one.mode = mode;
        for (const other of bands)
          if (!displays[resolve(one.display, other)].modes.includes(mode))
            one.display = withBand(one.display, other, name);
      }
    },
  };
}

/** The settings that the displays of a facet heed, on any band, in the order in which they are listed. */
export function supportedSettings({ display }: Pick<FacetRow, "display">): SettingName[] {
  const heeded = new Set([...commonSettings, ...bands.flatMap((band) => displays[resolve(display, band)].settings)]);
  return settingNames.filter((name) => heeded.has(name));
}

/** Whether a display of a facet on some band heeds a setting. */
export const supportsSetting = (row: Pick<FacetRow, "display">, name: SettingName, band: Band): boolean =>
  displays[resolve(row.display, band)].settings.includes(name);

/** The displays that suit a field, and for the others why not. */
export const displayChoices = (
  profile: FieldProfile,
): { name: DisplayName; label: string; unsuited: string | undefined }[] =>
  displayNames.map((name) => ({ name, label: displays[name].label, unsuited: displays[name].unsuited(profile) }));
