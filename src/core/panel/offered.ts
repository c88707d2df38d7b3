import type { Range } from "../catalogue/numbers/range-schema.ts";
import { offersOf } from "../displays/shop-facts.ts";
import type { Option } from "../engine/index/option-schema.ts";
import { type Band, bands, resolve } from "../settings/band.ts";
import { type FacetSettings, settingsOn } from "../settings/settings.ts";
import { orderOptions } from "./option-order.ts";
import { isShown, labelOf } from "./options.ts";
import { rulesOf } from "./panel.ts";
import type { FacetRow } from "./panel-schema.ts";

/** The part of a facet's answer that determines what is offered. */
export interface Counted {
  options: readonly Option[];
  counts: { steady: ArrayLike<number> };
}

/** A facet's display and settings. */
export interface ShownAs {
  display: string;
  settings: Pick<FacetSettings, "order" | "nested">;
}

/** How a facet is shown on a band. */
export const shownOn = ({ display, settings }: Pick<FacetRow, "display" | "settings">, band: Band): ShownAs => ({
  display: resolve(display, band),
  settings: settingsOn(settings, band),
});

/**
 * The options that a facet offers on a page, on a band: indices of those that a shopper can choose there, in display
 * order. They are the ones included by the designer, stated by some product of the page, and supported by the display.
 * Everything about a facet's options uses this definition.
 * @param language BCP 47 tag of the shopper's language
 */
export function offeredOptions(
  row: Pick<FacetRow, "options">,
  { display, settings }: ShownAs,
  { options, counts }: Counted,
  language = "en",
): number[] {
  const rules = rulesOf(row);
  const named = options.map((option) => ({ id: option.id, label: labelOf(rules, option, language) }));
  const shown = orderOptions(named, counts.steady, settings.order, rules.byHand, language).filter(
    (o) => isShown(rules, named[o]?.id ?? "") && (counts.steady[o] ?? 0) > 0,
  );
  const offers = offersOf(display);
  if (!offers) return shown;
  const offered = new Set(
    offers(
      shown.map((o) => named[o]?.id ?? ""),
      settings,
    ),
  );
  return shown.filter((o) => offered.has(named[o]?.id ?? ""));
}

/** The ranges that a facet offers on a page: those with a product of the page. */
export const offeredRanges = ({
  ranges,
  counts,
}: {
  ranges: readonly Range[];
  counts: { steady: ArrayLike<number> };
}): Range[] => ranges.filter((_, at) => (counts.steady[at] ?? 0) > 0);

/** The options that a facet offers on each band; bands with the same options share one entry. */
export function offeredAnywhere(row: FacetRow, found: Counted): number[][] {
  const ways = new Map(
    bands.map((band) => offeredOptions(row, shownOn(row, band), found)).map((way) => [way.join(), way]),
  );
  return [...ways.values()];
}
