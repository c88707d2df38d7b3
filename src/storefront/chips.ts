import { pathSeparator } from "../core/index/facet-index.ts";
import { isRange, type Selection, toggle, withChoice } from "../core/match/selection.ts";
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

/** What is chosen, in the panel's order. */
export function chipsOf({ selection, panel, index, shop }: PageState): Chip[] {
  const chips = facetRows(panel).flatMap((row): Chip[] => {
    const choice = selection.choices[row.field];
    const field = index.field(row.field);
    if (!choice || !field) return [];
    const facet = row.label || field.name;
    if (isRange(choice)) {
      const format = formatterOf(field, shop.currency);
      const [low, high] = [choice.min, choice.max].map((end) => (end === undefined ? undefined : format(end)));
      const text = low === undefined ? `up to ${high}` : high === undefined ? `from ${low}` : `${low} – ${high}`;
      return [{ key: row.field, text, facet, without: withChoice(selection, row.field, undefined) }];
    }
    const known = index.options(row.field, row.mode === "tree");
    return choice.options.map((id) => {
      const label = known.options[known.at.get(id) ?? -1]?.label ?? id;
      return { key: `${row.field} ${id}`, text: label.split(pathSeparator).at(-1) ?? label, facet, without: toggle(selection, row, id) };
    });
  });
  const text = selection.text.trim();
  return text ? [{ key: "q", text: `“${text}”`, facet: "Search", without: { ...selection, text: "" } }, ...chips] : chips;
}
