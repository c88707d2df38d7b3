import type { PanelHeights } from "../../core/api/panel-heights.ts";
import type { LocalFacts } from "../../core/profile/local-facts.ts";
import { type HeightsFile, heightsOf } from "../../core/rehearsal/heights-file.ts";
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

/** Earlier measurements by a browser. */
interface KnownHeights {
  measured?: PanelHeights["heights"] | undefined;
  /** Of a shop’s folder. */
  heights?: HeightsFile | undefined;
}

/**
 * A small style sheet that reserves the space of elements that have only a name until they are filled. A panel has the
 * height it has on the first page with it.
 * @param boots the pages of the handoff
 * @param known heights that a browser has measured; the others are estimated
 */
export function spaceSheet(
  boots: readonly Boot[],
  limits: BandLimits,
  facts: LocalFacts,
  known: KnownHeights = {},
): string {
  const queries = bandQueries(limits);
  const first = new Map<string, { one: PagePanel; boot: Boot }>();
  for (const boot of boots) for (const one of boot.panels) if (!first.has(one.slug)) first.set(one.slug, { one, boot });
  const rules = bands.map((band) => {
    const heights = [...first.values()].flatMap(({ one, boot }) => {
      const height = Math.round(known.measured?.[one.slug]?.[band] ?? heightOn(one, boot, band, facts, known.heights));
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

/** The height that a panel takes on its page, in CSS px: of the file if it is open and measured, else estimated. */
function heightOn(
  one: PagePanel,
  { page }: Boot,
  band: Band,
  facts: LocalFacts,
  heights: HeightsFile | undefined,
): number {
  const { form, slot } = placementFacts[placeOf(one, band)];
  if (form === "hidden" || slot === "nothing") return 0;
  if (form === "folded") return buttonHeight;
  if (form === "drawer") return behaviourOn(one.panel, band).buttonPlace === "float" ? 0 : buttonHeight;
  const measured = heights && heightsOf(heights, page.address, band, new Map([[one.slug, one.panel]])).get(one.slug);
  if (measured) return measured.panel;
  const offered = offeredBy(facts, one.panel.rows, band, page.within);
  return layRows(
    one.panel,
    band,
    form === "column",
    () => undefined,
    (row) => offered(row).length,
  ).height;
}
