import type { FacetSettings } from "../settings/settings.ts";

/** By display, how many options take the room of one check box; 1 where it is not listed. */
const dense: Readonly<Record<string, (settings: Pick<FacetSettings, "caption">) => number>> = {
  tiles: () => 2,
  tags: () => 2,
  "picture-tiles": ({ caption }) => (caption === "beside" ? 1 : 2),
  swatches: ({ caption }) => (caption === "hint" ? 3 : 1),
};

/** How many options of a display take the room of one check box. Shop pages and rehearsals fold by it. */
export const denseOf = (display: string, settings: Pick<FacetSettings, "caption">): number =>
  dense[display]?.(settings) ?? 1;
