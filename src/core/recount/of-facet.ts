import type { FacetAnswer } from "../engine/answer.ts";
import type { Option } from "../engine/index/option-schema.ts";
import type { Facet } from "../engine/question.ts";
import { offeredAnywhere, offeredRanges } from "../panel/offered.ts";
import { isShown, labelOf } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import type { FacetRow } from "../panel/panel-schema.ts";
import type { CountedOptions, CountedProducts, RecountedOption } from "./recount.ts";
import type { Asked } from "./rows.ts";

/**
 * The products counted in a facet's reach: those found by at least one offered option. One selection per set of
 * options that some band offers; the reach is the smallest result.
 * @param facet for the engine, with its merges
 * @param found its answer on the page
 */
export function waysOfReach(
  row: FacetRow,
  { field, mode, merges }: Facet,
  found: FacetAnswer,
  { within, searching }: Pick<Asked, "within" | "searching">,
): CountedProducts[] {
  const page = { within, searching, text: "" };
  if (mode === "range") {
    // Without ranges to choose from, the range of all numbers is offered.
    const ways = found.ranges.length > 0 ? offeredRanges(found) : [{}];
    return [{ ...page, facets: [{ field, mode }], ways: ways.map((range) => ({ [field]: range })) }];
  }
  const any: Facet = { field, mode: mode === "tree" ? "tree" : "any", ...(merges ? { merges } : {}) };
  return offeredAnywhere(row, found).map((offered) => ({
    ...page,
    facets: [any],
    ways: offered.flatMap((o) => {
      const option = found.options[o];
      return option ? [{ [field]: { options: [option.id] } }] : [];
    }),
  }));
}

/** The options that a facet shows somewhere in the shop but that find nothing on a page. */
export const leftOut = (
  row: FacetRow,
  facet: Facet,
  { field, options }: FacetAnswer,
  { within }: Pick<Asked, "within">,
): CountedOptions => {
  const shown = options.filter(({ id }) => isShown(rulesOf(row), id));
  return {
    asked: { within, facets: [facet], choices: {}, text: "" },
    offers: [{ title: row.label || field.name, facet, options: namedOptions(row, shown) }],
  };
};

/** Options with the designer's labels. */
export const namedOptions = (row: Pick<FacetRow, "options">, options: readonly Option[]): RecountedOption[] => {
  const rules = rulesOf(row);
  return options.map((option) => ({ id: option.id, label: labelOf(rules, option, "en") }));
};
