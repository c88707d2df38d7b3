import type { Finding } from "../evidence/findings.ts";
import type { FieldProfile } from "../evidence/profile.ts";
import { suggestRow } from "../evidence/suggest.ts";
import { type FacetRow, isFacet, type PanelDocument, rulesOf } from "./document.ts";
import { addRow, freeId, type PanelEdit, removeRow, setMode, setOptions, setPlacement } from "./edit.ts";
import { withoutValues } from "./options.ts";
import { type SettingValues, withSetting } from "./settings.ts";

/** The edit that mends a finding; undefined when what it is about is no longer there. */
export function mendEdit(
  panel: PanelDocument,
  { mend, words }: Finding,
  profileOf: (field: string) => FieldProfile | undefined,
): PanelEdit | undefined {
  if (!mend) return undefined;
  const { step } = mend;
  const named = (edit: PanelEdit): PanelEdit => ({ ...edit, words: `Mend: ${words}` });
  if (step.do === "place") return named(setPlacement(step.band, step.placement));
  if (step.do === "add") {
    const profile = profileOf(step.field);
    if (!profile) return undefined;
    const row = suggestRow(profile);
    return named(addRow({ ...row, id: freeId(panel.rows, row.id) }, profile.field.name));
  }
  const row = panel.rows.filter(isFacet).find(({ id }) => id === step.row);
  if (!row) return undefined;
  return named(facetEdit(row, step));
}

function facetEdit(row: FacetRow, step: Exclude<NonNullable<Finding["mend"]>["step"], { do: "place" | "add" }>): PanelEdit {
  switch (step.do) {
    case "remove":
      return removeRow(row.id, "");
    case "mode":
      return setMode(row, step.mode, "");
    case "forget":
      return setOptions(row, withoutValues(rulesOf(row), new Set(step.values)), "");
    case "relabel": {
      const rules = rulesOf(row);
      const labels = Object.fromEntries(Object.entries(step.labels).map(([id, text]) => [id, { ...rules.labels[id], text }]));
      return setOptions(row, { ...rules, labels: { ...rules.labels, ...labels } }, "");
    }
    case "set": {
      const settings: SettingValues = withSetting(row.settings, step.setting, step.value as never);
      return { words: "", apply: (panel) => ({ ...panel, rows: panel.rows.map((one) => (one.id === row.id ? { ...row, settings } : one)) }) };
    }
  }
}
