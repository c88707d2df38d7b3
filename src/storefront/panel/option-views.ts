import { isSameRange } from "../../core/catalogue/numbers/range.ts";
import type { Range } from "../../core/catalogue/numbers/range-schema.ts";
import { lastLevelOf } from "../../core/catalogue/path.ts";
import { drawsLevels } from "../../core/displays/shop-facts.ts";
import type { FacetAnswer } from "../../core/engine/answer.ts";
import { choiceOf, optionsOf, rangeOf } from "../../core/engine/selection.ts";
import { offeredOptions } from "../../core/panel/offered.ts";
import { labelOf } from "../../core/panel/options.ts";
import { rulesOf } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import type { FacetSettings } from "../../core/settings/settings.ts";
import type { Say } from "../words/say.ts";
import type { OptionView, RangeView } from "./displays/display-props.ts";
import type { Shared } from "./panel-state.ts";
import { valueWriter } from "./value-text.ts";

type Shown = Pick<Shared, "selection" | "swatches" | "language" | "say" | "fields" | "currency">;

/**
 * A facet's options for its display: those offered by the designer, with their labels, in the row's order, counted
 * according to its settings, empty ones kept, faded or dropped. The order uses the whole page's counts, so that it
 * never changes while choosing.
 */
export function optionViews(
  state: Shown,
  row: FacetRow,
  { display, settings }: { display: string; settings: FacetSettings },
  { options, counts }: FacetAnswer,
): OptionView[] {
  const chosen = new Set(optionsOf(choiceOf(state.selection, row.field)));
  const book = Object.hasOwn(state.swatches, row.field) ? state.swatches[row.field] : undefined;
  const rules = rulesOf(row);
  const field = state.fields.get(row.field);
  const write = field && valueWriter(field, state);
  const offered = offeredOptions(row, { display, settings }, { options, counts }, state.language);
  const known = new Set(offered);
  // An option chosen in the address is shown even if the panel does not offer it, so that it can be removed.
  const others = options.flatMap(({ id }, o) => (chosen.has(id) && !known.has(o) ? [o] : []));
  return [...offered, ...others].flatMap((o) => {
    const option = options[o];
    if (!option) return [];
    const { id } = option;
    const dead = counts.live[o] === 0 && !chosen.has(id);
    if (dead && settings.emptyOptions === "drop") return [];
    const called = labelOf(rules, option, state.language);
    // The designer's own label is shown as it is.
    const label = called === option.label && write ? write(called) : called;
    return {
      id,
      label: drawsLevels(display) ? label : lastLevelOf(label),
      count: settings.counting === "none" ? undefined : counts[settings.counting][o],
      chosen: chosen.has(id),
      faded: dead && settings.emptyOptions === "fade",
      swatch: book && Object.hasOwn(book, id) ? book[id] : undefined,
    };
  });
}

/** A facet's ranges for its display. */
export function rangeViews(
  { selection, say }: Shown,
  row: FacetRow,
  { counting, emptyOptions }: FacetSettings,
  { ranges, counts }: FacetAnswer,
  format: (value: number) => string,
): RangeView[] {
  const given = choiceOf(selection, row.field);
  const choice = rangeOf(given);
  return ranges.flatMap((range, at) => {
    const chosen = given !== undefined && isSameRange(range, choice);
    const dead = counts.live[at] === 0 && !chosen;
    if (dead && emptyOptions === "drop") return [];
    return {
      range,
      label: rangeText(range, format, say),
      count: counting === "none" ? undefined : counts[counting][at],
      chosen,
      faded: dead && emptyOptions === "fade",
    };
  });
}

/** A range in words. */
export function rangeText({ min, max, below }: Range, format: (value: number) => string, say: Say): string {
  if (below !== undefined)
    return min === undefined
      ? say("under", { value: format(below) })
      : say("toUnder", { low: format(min), high: format(below) });
  if (min === undefined) return max === undefined ? "" : say("upTo", { value: format(max) });
  return max === undefined ? say("fromUp", { value: format(min) }) : `${format(min)} – ${format(max)}`;
}
