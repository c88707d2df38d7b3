import type { FacetAnswer } from "../core/match/answer.ts";
import { optionsOf, type Range, rangeOf } from "../core/match/selection.ts";
import { type FacetRow, rulesOf } from "../core/panel/document.ts";
import { orderOptions } from "../core/panel/option-order.ts";
import { isShown, labelOf } from "../core/panel/options.ts";
import type { FacetSettings } from "../core/panel/settings.ts";
import type { BandView, OptionView } from "./displays/display.ts";
import type { PageState } from "./store.ts";

type Shown = Pick<PageState, "selection" | "swatches" | "language">;

/**
 * A facet's options as its display draws them: those that the designer shows, under the names given, in the
 * row's order, counted as the row says, dead ends kept, faded or dropped. The order goes by the whole page's
 * counts, so that it never changes under a finger.
 */
export function optionViews(state: Shown, row: FacetRow, settings: FacetSettings, { options, counts }: FacetAnswer): OptionView[] {
  const chosen = new Set(optionsOf(state.selection.choices[row.field]));
  const book = state.swatches[row.field];
  const rules = rulesOf(row);
  const named = options.map((option) => ({ id: option.id, label: labelOf(rules, option, state.language) }));
  return orderOptions(named, counts.steady, settings.order, rules.byHand).flatMap((o) => {
    const { id, label } = named[o];
    if (!isShown(rules, id) && !chosen.has(id)) return [];
    const dead = counts.live[o] === 0 && !chosen.has(id);
    if (dead && settings.deadEnd === "drop") return [];
    return {
      id,
      label,
      count: settings.counting === "none" ? undefined : counts[settings.counting][o],
      chosen: chosen.has(id),
      faded: dead && settings.deadEnd === "fade",
      swatch: book?.[id],
    };
  });
}

/** A range's bands as its display draws them. */
export function bandViews(
  state: Shown,
  row: FacetRow,
  { counting, deadEnd }: FacetSettings,
  { bands, counts }: FacetAnswer,
  format: (value: number) => string,
): BandView[] {
  const choice = rangeOf(state.selection.choices[row.field]);
  return bands.flatMap((range, b) => {
    const chosen = state.selection.choices[row.field] !== undefined && range.min === choice.min && range.max === choice.max;
    const dead = counts.live[b] === 0 && !chosen;
    if (dead && deadEnd === "drop") return [];
    return {
      range,
      label: rangeText(range, format),
      count: counting === "none" ? undefined : counts[counting][b],
      chosen,
      faded: dead && deadEnd === "fade",
    };
  });
}

/** A range in words. */
export function rangeText({ min, max }: Range, format: (value: number) => string): string {
  if (min === undefined) return max === undefined ? "" : `up to ${format(max)}`;
  return max === undefined ? `from ${format(min)}` : `${format(min)} – ${format(max)}`;
}
