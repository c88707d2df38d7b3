import type { Field } from "../../core/catalogue/field.ts";
import { isNumeric, isTwoValued } from "../../core/catalogue/field-kinds.ts";
import { pathSeparator } from "../../core/catalogue/path.ts";
import { affirmative, isYesOrNo } from "../../core/catalogue/yes-no.ts";
import type { Choice } from "../../core/engine/question.ts";
import { isRange } from "../../core/engine/selection.ts";
import type { Act } from "../../core/page/browse-state/browse-state.ts";
import { labelOf } from "../../core/panel/options.ts";
import { rowLabel, rulesOf } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { settingsOn } from "../../core/settings/settings.ts";
import { fieldTitle } from "../words/field-title.ts";
import { formatterOf } from "./format.ts";
import { rangeText } from "./option-views.ts";
import type { Shared } from "./panel-state.ts";
import { valueWriter } from "./value-text.ts";

/** A chosen filter in words, and the act that removes it. */
export interface Chip {
  key: string;
  /** Its text, which is understandable alone: “Red”, “Height: 20 cm – 40 cm”, “On sale”. */
  text: string;
  /** The choice alone, for use beside the facet's name. */
  value: string;
  facet: string;
  takeBack: Act;
}

/** A chip without its final text, and how well its value is understood alone. */
interface Draft extends Omit<Chip, "text"> {
  /** `alone`: it is understood alone. `named`: it needs the facet's name. `name`: the name alone is enough. */
  says: "alone" | "named" | "name";
}

/** The chips in order of choice, so that a new one moves none of the others. */
export function chipsOf(state: Shared): Chip[] {
  const { selection, rows, say } = state;
  const byField = new Map(rows.map((row) => [row.field, row]));
  const text = selection.text.trim();
  const words: Draft = {
    key: "q",
    value: `“${text}”`,
    facet: say("search"),
    says: "alone",
    takeBack: { do: "search", text: "" },
  };
  const drafts = [
    ...(text ? [words] : []),
    ...Object.entries(selection.choices).flatMap(([key, choice]) => draftsOf(state, key, choice, byField.get(key))),
  ];
  return drafts.map(({ says, ...one }) => {
    const { facet, value } = one;
    // “Green” is ambiguous if both flowers and pots can be green.
    const shared = drafts.some((other) => other.value === value && other.facet !== facet);
    const alone = says === "alone" && !shared;
    return { ...one, text: says === "name" ? facet : alone ? value : say("named", { facet, text: value }) };
  });
}

function draftsOf(
  { fields, answer, currency, language, band, say }: Shared,
  key: string,
  choice: Choice,
  row: FacetRow | undefined,
): Draft[] {
  const field = fields.get(key);
  if (!field) return [];
  const facet = (row && rowLabel(row, language)) || fieldTitle(field, say);
  if (isRange(choice)) {
    const format = formatterOf(field, currency, row && settingsOn(row.settings, band), language);
    const value = rangeText(choice, format, say);
    const says = field.role === "price" ? "alone" : "named";
    return [{ key, value, facet, says, takeBack: { do: "choose", field: key, choice: undefined } }];
  }
  const known = Object.hasOwn(answer.facets, key) ? answer.facets[key]?.options : undefined;
  const rules = row && rulesOf(row);
  const write = valueWriter(field, { currency, language, say });
  return choice.options.map((id) => {
    const option = known?.find((one) => one.id === id) ?? { id, label: id };
    const label = rules ? labelOf(rules, option, language) : option.label;
    // The designer's label is understood alone.
    const called = label !== option.label;
    return {
      key: `${key} ${id}`,
      value: called ? label : write(label.split(pathSeparator).at(-1) ?? label),
      facet,
      says: called ? "alone" : saysOf(field, id),
      takeBack: { do: "toggle", facet: row ?? { field: key, mode: "any" }, option: id },
    };
  });
}

/** How well a value is understood alone: “yes” is not, nor is a bare number. */
function saysOf({ kind }: Field, id: string): Draft["says"] {
  if (isTwoValued({ kind }) ? affirmative.has(id) : isYesOrNo(id) && affirmative.has(id)) return "name";
  return isYesOrNo(id) || isNumeric({ kind }) || /^[\p{N}\p{P}\s]+$/u.test(id) ? "named" : "alone";
}
