import { commonSettings } from "../displays/display.ts";
import { type DisplayName, displayNames, displays } from "../displays/displays.ts";
import type { FieldProfile } from "../profile/profile.ts";
import { type Band, bands, resolve, withBand } from "../settings/band.ts";
import { type SettingName, settingNames } from "../settings/settings.ts";
import type { PanelEdit } from "./edit.ts";
import { isFacet } from "./panel.ts";
import type { FacetRow } from "./panel-schema.ts";

/**
 * Changes a facet's display on one band. If the display does not support the facet's mode, the mode changes to one it
 * supports, and bands whose display doesn't support that one change too: a facet has one mode at every width. Other
 * rows over the same field follow in both.
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

/** The settings supported by a facet's displays on any band, in listed order. */
export function supportedSettings({ display }: Pick<FacetRow, "display">): SettingName[] {
  const heeded = new Set([...commonSettings, ...bands.flatMap((band) => displays[resolve(display, band)].settings)]);
  return settingNames.filter((name) => heeded.has(name));
}

/** Whether a display of the facet on some band supports a setting. */
export const supportsSetting = (row: Pick<FacetRow, "display">, name: SettingName, band: Band): boolean =>
  displays[resolve(row.display, band)].settings.includes(name);

/** The displays that suit a field, and the reasons against the others. */
export const displayChoices = (
  profile: FieldProfile,
): { name: DisplayName; label: string; unsuited: string | undefined }[] =>
  displayNames.map((name) => ({ name, label: displays[name].label, unsuited: displays[name].unsuited(profile) }));
