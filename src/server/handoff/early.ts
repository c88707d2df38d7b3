import { nameIn, namesOf, type QueryNames } from "../../core/page/browse-state/address.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { PagePanel } from "../../storefront/page/page-panel.ts";

/**
 * A script that runs before a page's first paint: where the address carries choices, it marks the page, so that its
 * lists stay hidden and keep their space until the choices are applied (see `awaiting.ts` of the storefront).
 */
export function earlyScript(panels: readonly PagePanel[], names: QueryNames): string {
  const fields = panels.flatMap(({ panel }) => facetRows(panel).map(({ field }) => field));
  const queries = [
    ...new Set(fields.flatMap((field) => namesOf(nameIn(names, field)))),
    ...["q", "sort", "page"].map((key) => nameIn(names, key)),
  ];
  return `(n=>{const q=new URLSearchParams(location.search);if(n.some(k=>q.has(k)))document.documentElement.dataset.trellisAwaits="choices"})(${JSON.stringify(queries)});\n`;
}

/**
 * The rules for such a page. What is hidden appears after some seconds even if no script ever applies the choices.
 * The lists keep the height of the window, so that what is below them stays out of sight.
 */
export const awaitingRules = [
  "[data-trellis-awaits] :is([data-trellis-list], trellis-listing) { min-height: 100vh; }",
  '[data-trellis-awaits="choices"] :is([data-trellis-list], [data-trellis-cards], [data-trellis-count], [data-trellis-more], [data-trellis-pages]) { animation: trellis-await 5s; }',
  "@keyframes trellis-await { from, to { visibility: hidden; } }",
].join("\n");
