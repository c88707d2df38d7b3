import { resolve } from "../settings/band.ts";
import { placementFacts } from "../settings/placement.ts";
import type { FindingKind } from "./finding.ts";

/** A panel on the phone that stands entirely above the products. */
export const farProducts: FindingKind = {
  name: "far-products",
  level: "warning",
  needs: "measures",
  find({ panel, measures: { slim } }) {
    const { form } = placementFacts[resolve(panel.placement, "slim")];
    if (panel.rows.length === 0 || form === "hidden" || form === "drawer" || !slim || slim.products <= slim.screen)
      return [];
    return [
      {
        band: "slim",
        words: `On a phone the first product is ${Math.round(slim.products)} px down, ${(slim.products / slim.screen).toFixed(1)} screens below the top.`,
        remedy: { words: "Put it in a drawer", step: { do: "place", band: "slim", placement: "drawer" } },
      },
    ];
  },
};
