import type { Measure } from "../../core/findings/measure.ts";
import type { LocalFacts } from "../../core/profile/local-facts.ts";
import { offeredBy } from "../../core/rehearsal/page-scene.ts";
import { buttonHeight, layRows } from "../../core/rehearsal/scene.ts";
import { type Band, type BandLimits, bands } from "../../core/settings/band.ts";
import { bandQueries } from "../../core/settings/media.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { behaviourOn, type PagePanel, placeOf } from "../../storefront/page/page-panel.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { awaitingRules } from "./early.ts";

/** The style sheet whose name never changes. */
export const spaceName = "trellis-space.css";

/**
 * A small style sheet that reserves the space of elements that have only a name until they are filled. A panel has the
 * height it has on the first page with it.
 * @param boots the pages of the handoff
 * @param measured by panel, the heights of a page's panels on a band that a browser has measured
 */
export function spaceSheet(
  boots: readonly Boot[],
  limits: BandLimits,
  facts: LocalFacts,
  measured: (page: string, band: Band) => ReadonlyMap<string, Measure>,
): string {
  const queries = bandQueries(limits);
  const first = new Map<string, { one: PagePanel; boot: Boot }>();
  for (const boot of boots) for (const one of boot.panels) if (!first.has(one.slug)) first.set(one.slug, { one, boot });
  const rules = bands.map((band) => {
    const heights = [...first.values()].flatMap(({ one, boot }) => {
      const known = measured(boot.page.address, band).get(one.slug)?.panel;
      const height = Math.round(known ?? heightOn(one, boot, band, facts));
      return height > 0 ? [`trellis-panel[name="${one.slug}"]:empty { min-height: ${height}px; }`] : [];
    });
    return heights.length > 0 ? `@media ${queries[band]} {\n${heights.join("\n")}\n}` : "";
  });
  return [
    "trellis-panel, trellis-listing { display: block; }",
    // A footer below an empty list would jump out of sight when the list is there.
    "trellis-listing:empty { min-height: 100vh; }",
    awaitingRules,
    ...rules.filter(Boolean),
    "",
  ].join("\n");
}

/** The estimated height that a panel takes on its page, in CSS px. */
function heightOn(one: PagePanel, { page }: Boot, band: Band, facts: LocalFacts): number {
  const { form, slot } = placementFacts[placeOf(one, band)];
  if (form === "hidden" || slot === "nothing") return 0;
  if (form === "folded") return buttonHeight;
  if (form === "drawer") return behaviourOn(one.panel, band).buttonPlace === "float" ? 0 : buttonHeight;
  const offered = offeredBy(facts, one.panel.rows, band, page.within);
  return layRows(
    one.panel,
    band,
    form === "column",
    () => undefined,
    (row) => offered(row).length,
  ).height;
}
