import type { FacetAnswer } from "../core/match/answer.ts";
import { optionsOf } from "../core/match/selection.ts";
import type { FacetRow } from "../core/panel/document.ts";
import { orderOptions } from "../core/panel/option-order.ts";
import type { OptionView } from "./displays/display.ts";
import type { PageState } from "./store.ts";

/**
 * A facet's options as its display draws them: in the row's order, counted as the row says, dead ends
 * kept, faded or dropped. The order goes by the whole page's counts, so that it never changes under a finger.
 */
export function optionViews(state: PageState, row: FacetRow, { options, counts }: FacetAnswer): OptionView[] {
  const chosen = new Set(optionsOf(state.selection.choices[row.field]));
  const book = state.swatches[row.field];
  return orderOptions(options, counts.steady, row.order).flatMap((o) => {
    const { id, label } = options[o];
    const dead = counts.live[o] === 0 && !chosen.has(id);
    if (dead && row.deadEnd === "drop") return [];
    return {
      id,
      label,
      count: row.counting === "none" ? undefined : counts[row.counting][o],
      chosen: chosen.has(id),
      faded: dead && row.deadEnd === "fade",
      colours: book?.[id],
    };
  });
}
