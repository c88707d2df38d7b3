import { pathSeparator } from "../core/catalogue/path.ts";
import { isRange, type Selection, toggle, withChoice } from "../core/match/selection.ts";
import { facetRows, rowLabel, rulesOf } from "../core/panel/document.ts";
import { labelOf } from "../core/panel/options.ts";
import { settingsOn } from "../core/panel/settings.ts";
import { formatterOf } from "./format.ts";
import { rangeText } from "./option-views.ts";
import type { PageState } from "./store.ts";

/** One chosen filter in words, and the selection that is left without it. */
export interface Chip {
  key: string;
  text: string;
  facet: string;
  without: Selection;
}

/** What is chosen, in the order chosen, so that a new chip moves none of the others. */
export function chipsOf({ selection, panel, fields, answer, shop, language, band }: PageState): Chip[] {
  const rows = new Map(facetRows(panel).map((row) => [row.field, row]));
  const chips = Object.entries(selection.choices).flatMap(([key, choice]): Chip[] => {
    const row = rows.get(key);
    const field = fields.get(key);
    if (!field) return [];
    const facet = (row && rowLabel(row, language)) || field.name;
    if (isRange(choice)) {
      const text = rangeText(choice, formatterOf(field, shop.currency, row && settingsOn(row.settings, band), language));
      return [{ key, text, facet, without: withChoice(selection, key, undefined) }];
    }
    return choice.options.map((id) => {
      const option = answer.facets[key]?.options.find((one) => one.id === id) ?? { id, label: id };
      const label = row ? labelOf(rulesOf(row), option, language) : option.label;
      return {
        key: `${key} ${id}`,
        text: label.split(pathSeparator).at(-1) ?? label,
        facet,
        without: toggle(selection, row ?? { field: key, mode: "any" }, id),
      };
    });
  });
  const text = selection.text.trim();
  return text ? [{ key: "q", text: `“${text}”`, facet: "Search", without: { ...selection, text: "" } }, ...chips] : chips;
}
