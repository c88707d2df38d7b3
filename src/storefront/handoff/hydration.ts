import type { ShownPage } from "../../core/page/shown-page.ts";
import type { Band } from "../../core/settings/band.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { InitialState, PlaceAnswer } from "../page/page-state.ts";
import { HandoffFault } from "./faults.ts";
import { markIn } from "./marks.ts";
import type { Island, ShopFile } from "./wire.ts";

/** The data of a group's first element. @throws HandoffFault if missing, or elements are for different pages */
export function islandFor(islands: readonly Island[]): Island {
  const [island] = islands;
  if (!island)
    throw new HandoffFault("markup", "No panel or listing says which page it is for. Paste its whole markup.");
  if (islands.some(({ page }) => page.address !== island.page.address))
    throw new HandoffFault(
      "markup",
      `Panels and listings of one group are for different pages: ${[...new Set(islands.map(({ page }) => page.address))].join(", ")}. Give the elements of a different page a different group.`,
    );
  return island;
}

/** The initial state of a group's page, without answers, in the language of its markup. */
export const initialState = (
  shop: ShopFile,
  { page, language = shop.language }: Pick<Island, "page" | "language">,
  group: string,
  panels: PagePanel[],
): InitialState => ({
  shop: {
    slug: "",
    name: shop.name,
    currency: shop.currency,
    bars: shop.bars,
    menu: [],
    search: shop.search,
    suggest: "",
  },
  base: "",
  page: pagedAs(page, group),
  panels,
  fields: shop.fields,
  limits: shop.limits,
  swatches: shop.swatches,
  language,
  names: shop.names,
});

/**
 * Sets how the page shows further results, according to the site's marked elements; by default the shown products
 * stay.
 */
const pagedAs = (page: ShownPage, group: string): ShownPage => ({
  ...page,
  layout: {
    ...page.layout,
    more: markIn(group, "pages") ? "pages" : page.layout.more === "scroll" ? "scroll" : "button",
  },
});

/**
 * The answers that panels were drawn from without a selection, without products.
 * @param drawn identifies the current files, see {@link Island.drawn}
 * @returns undefined if a panel was drawn from other files, or has no answers
 */
export function drawnAnswers(
  islands: readonly Island[],
  drawn: string,
  band: Band,
): Pick<PlaceAnswer, "answer" | "elsewhere"> | undefined {
  const panels = islands.flatMap((island) => (island.panel ? [{ ...island, panel: island.panel }] : []));
  const answers = panels.flatMap(({ panel, answers: own, drawn: from }) => {
    const answer = from === drawn ? own?.find(({ bands }) => bands.includes(band))?.answer : undefined;
    return answer ? [{ panel, answer }] : [];
  });
  const [first] = answers;
  if (!first || answers.length < panels.length) return undefined;
  const leading = answers.filter(({ panel }) => panel.target);
  // Only panels that filter this page have its number of products.
  const { answer } = answers.find(({ panel }) => !panel.target) ?? first;
  return {
    answer: { ...answer, facets: Object.assign({}, ...answers.map((one) => one.answer.facets)) },
    elsewhere: Object.fromEntries(leading.map((one) => [one.panel.slug, one.answer])),
  };
}
