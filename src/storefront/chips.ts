import { pathSeparator } from "../core/index/facet-index.ts";
import { isRange, type Range, type Selection, toggle, withChoice } from "../core/match/selection.ts";
import { facetRows } from "../core/panel/document.ts";
import { formatterOf } from "./format.ts";
import type { PageState } from "./store.ts";

/** One chosen filter in words, and the selection that is left without it. */
export interface Chip {
  key: string;
  text: string;
  facet: string;
  without: Selection;
}

/** What is chosen, in the order chosen, so that a new chip moves none of the others. */
export function chipsOf({ selection, panel, fields, answer, shop }: PageState): Chip[] {
  const rows = new Map(facetRows(panel).map((row) => [row.field, row]));
  const chips = Object.entries(selection.choices).flatMap(([key, choice]): Chip[] => {
    const row = rows.get(key);
    const field = fields.get(key);
    if (!row || !field) return [];
    const facet = row.label || field.name;
    if (isRange(choice)) {
      const text = rangeText(choice, formatterOf(field, shop.currency));
      return [{ key, text, facet, without: withChoice(selection, key, undefined) }];
    }
    return choice.options.map((id) => {
      const label = answer.facets[key]?.options.find((option) => option.id === id)?.label ?? id;
      return { key: `${key} ${id}`, text: label.split(pathSeparator).at(-1) ?? label, facet, without: toggle(selection, row, id) };
    });
  });
  const text = selection.text.trim();
  return text ? [{ key: "q", text: `“${text}”`, facet: "Search", without: { ...selection, text: "" } }, ...chips] : chips;
}

function rangeText({ min, max }: Range, format: (value: number) => string): string {
  if (min === undefined) return max === undefined ? "" : `up to ${format(max)}`;
  return max === undefined ? `from ${format(min)}` : `${format(min)} – ${format(max)}`;
}
