import {
  addRow,
  facetEdit,
  moveRow,
  type PanelEdit,
  removeRow,
  setLabel,
  setMode,
  setOptionStyle,
  setPlacement,
} from "../panel/edit.ts";
import { forgetValues, mergeOptions, relabelOptions } from "../panel/option-edit.ts";
import { isFacet } from "../panel/panel.ts";
import type { FacetRow, NamedValue, PanelDocument } from "../panel/panel-schema.ts";
import { freeId } from "../panel/row-id.ts";
import { suggestRow } from "../panel/suggest/suggest.ts";
import type { FieldProfile } from "../profile/profile.ts";
import type { Band, Banded } from "../settings/band.ts";
import type { Placement } from "../settings/placement.ts";
import type { FacetSettings, SettingName } from "../settings/settings.ts";
import { withSetting } from "../settings/settings.ts";

/** A setting with the value that fixes a problem. */
type Setting = { [K in SettingName]: { setting: K; value: FacetSettings[K] | Banded<FacetSettings[K]> } }[SettingName];

/** A change that fixes a finding in one step. Plain data, since it may come from a worker. */
export type Fix =
  | { do: "remove"; row: string }
  | { do: "move"; row: string; before: string }
  | ({ do: "set"; row: string } & Setting)
  | { do: "mode"; row: string; mode: "any" }
  | { do: "style"; row: string }
  | { do: "add"; field: string }
  | { do: "label"; row: string; text: string }
  | { do: "swap-ends"; row: string }
  | { do: "forget"; row: string; values: readonly string[] }
  | { do: "merge"; row: string; into: NamedValue; from: NamedValue }
  | { do: "relabel"; row: string; labels: Readonly<Record<string, string>> }
  | { do: "place"; band: Band; placement: Placement };

/** A fix offered by a finding. */
export interface OfferedFix {
  /** Its effect, on its button. */
  words: string;
  step: Fix;
}

/** The edit that applies a fix; undefined if its target no longer exists. */
export function fixEdit(
  panel: PanelDocument,
  { remedy }: { remedy?: OfferedFix },
  profileOf: (field: string) => FieldProfile | undefined,
): PanelEdit | undefined {
  if (!remedy) return undefined;
  const { step } = remedy;
  const named = (edit: PanelEdit, facet = ""): PanelEdit => ({
    ...edit,
    words: facet && !remedy.words.includes(facet) ? `${facet}: ${lowercaseLabel(remedy.words)}` : remedy.words,
  });
  if (step.do === "place") return named(setPlacement(step.band, step.placement));
  if (step.do === "add") {
    const profile = profileOf(step.field);
    if (!profile) return undefined;
    const row = suggestRow(profile);
    return named(addRow({ ...row, id: freeId(panel.rows, row.id) }, profile.field.name));
  }
  const row = panel.rows.filter(isFacet).find(({ id }) => id === step.row);
  if (step.do === "move") {
    const to = panel.rows.findIndex(({ id }) => id === step.before);
    return row && to >= 0 ? named(moveRow(row.id, to, "")) : undefined;
  }
  return row && named(facetRemedy(row, step), row.label || (profileOf(row.field)?.field.name ?? row.field));
}

const listed = (value: NamedValue) => ({ ...value, original: value.label });

const lowercaseLabel = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

function facetRemedy(row: FacetRow, step: Exclude<Fix, { do: "place" | "add" | "move" }>): PanelEdit {
  switch (step.do) {
    case "remove":
      return removeRow(row.id, "");
    case "mode":
      return setMode(row, step.mode, "");
    case "style":
      return setOptionStyle(row.id, undefined, "");
    case "label":
      return setLabel(row.id, step.text, "");
    case "swap-ends":
      return facetEdit("", row.id, (one) => {
        const { min, max } = one.settings;
        one.settings = {
          ...one.settings,
          ...(max === undefined ? {} : { min: max }),
          ...(min === undefined ? {} : { max: min }),
        };
      });
    case "forget":
      return forgetValues({ id: row.id, title: "" }, new Set(step.values));
    case "merge":
      return mergeOptions({ id: row.id, title: "" }, [listed(step.into), listed(step.from)]);
    case "relabel":
      return relabelOptions({ id: row.id, title: "" }, step.labels);
    case "set":
      return facetEdit("", row.id, (one) => {
        one.settings = withSetting(one.settings, step.setting, step.value);
      });
  }
}
