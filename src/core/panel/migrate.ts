import { facetSettings } from "./setting-definitions.ts";
import { type SettingName, type SettingValues, withSetting } from "./settings.ts";

type Old = Record<string, unknown> & { format?: number; rows?: Record<string, unknown>[] };

const first: readonly SettingName[] = ["start", "counting", "deadEnd", "order", "foldAfter"];

/** A stored panel of any older format in the present one; a present one as it is. */
export function migratePanel(panel: Old): unknown {
  return panel.format === 1 ? fromFirst(panel) : panel;
}

/** Format 1 had five settings beside the facet's own members, one display called “slider” that had inputs, and no languages. */
function fromFirst({ rows = [], ...panel }: Old): unknown {
  return {
    ...panel,
    format: 2,
    languages: [],
    rows: rows.map((row) => {
      if (row.kind !== "facet") return row;
      const { start, counting, deadEnd, order, foldAfter, ...facet } = row;
      const given: Record<string, unknown> = { start, counting, deadEnd, order, foldAfter };
      let settings: SettingValues = {};
      for (const name of first) {
        if (given[name] !== undefined)
          settings = withSetting(settings, name, (facetSettings[name].banded ? { wide: given[name] } : given[name]) as never);
      }
      const display = Object.fromEntries(
        Object.entries(facet.display as Record<string, string>).map(([band, name]) => [band, name === "slider" ? "slider-inputs" : name]),
      );
      return { ...facet, display, settings };
    }),
  };
}
