import { pathSeparator } from "../../core/catalogue/path.ts";
import { isRange } from "../../core/match/selection.ts";
import { labelOf } from "../../core/panel/options.ts";
import { rowLabel, rulesOf } from "../../core/panel/panel.ts";
import type { Act } from "../../core/place/place.ts";
import { settingsOn } from "../../core/setting/settings.ts";
import { formatterOf } from "./format.ts";
import { rangeText } from "./option-views.ts";
import type { Shared } from "./panel-state.ts";

/** One chosen filter in words, and what takes it back. */
export interface Chip {
  key: string;
  text: string;
  facet: string;
  takeBack: Act;
}

/** What is chosen, in the order chosen, so that a new chip moves none of the others. */
export function chipsOf({ selection, rows: all, fields, answer, currency, language, band, say }: Shared): Chip[] {
  const rows = new Map(all.map((row) => [row.field, row]));
  const chips = Object.entries(selection.choices).flatMap(([key, choice]): Chip[] => {
    const row = rows.get(key);
    const field = fields.get(key);
    if (!field) return [];
    const facet = (row && rowLabel(row, language)) || field.name;
    if (isRange(choice)) {
      const text = rangeText(
        choice,
        formatterOf(field, currency, row && settingsOn(row.settings, band), language),
        say,
      );
      return [{ key, text, facet, takeBack: { do: "choose", field: key, choice: undefined } }];
    }
    const known = Object.hasOwn(answer.facets, key) ? answer.facets[key]?.options : undefined;
    return choice.options.map((id) => {
      const option = known?.find((one) => one.id === id) ?? { id, label: id };
      const label = row ? labelOf(rulesOf(row), option, language) : option.label;
      const text = label.split(pathSeparator).at(-1) ?? label;
      return {
        key: `${key} ${id}`,
        text,
        facet,
        takeBack: { do: "toggle", facet: row ?? { field: key, mode: "any" }, option: id },
      };
    });
  });
  const text = selection.text.trim();
  return text
    ? [{ key: "q", text: `“${text}”`, facet: say("search"), takeBack: { do: "search", text: "" } }, ...chips]
    : chips;
}
