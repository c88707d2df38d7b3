import { engineMerges } from "../../panel/options.ts";
import { facetRows, rulesOf } from "../../panel/panel.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Two panels with different modes for one field: they share one choice, and the first panel's mode applies. */
export const askedTwoWays: PageFindingKind = {
  name: "asked-two-ways",
  level: "error",
  find({ facets, panels }) {
    const first = new Map<string, { panel: string; way: string }>();
    return facets.flatMap(({ panel, row, field, title }) => {
      const own = facetRows(panels.get(panel) ?? { rows: [] }).find(({ id }) => id === row);
      if (!own) return [];
      const way = JSON.stringify([own.mode, engineMerges(rulesOf(own)) ?? null]);
      const known = first.get(field);
      if (!known) first.set(field, { panel, way });
      if (!known || known.panel === panel || known.way === way) return [];
      const other = panels.get(known.panel)?.name ?? known.panel;
      return [
        {
          panel,
          row,
          words: `${title} has different settings in “${other}” on this page. Both use those from “${other}”.`,
        },
      ];
    });
  },
};
