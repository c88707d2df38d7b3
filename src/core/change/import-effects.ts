import { bands, resolve } from "../band/band.ts";
import type { CatalogueChange } from "../catalogue/compare.ts";
import { displays } from "../display/displays.ts";
import { facetRows } from "../panel/panel.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";

/** Something in a panel that a new catalogue touches. */
export interface ImportEffect {
  panel: string;
  facet: string;
  /** What happens to it, in one sentence. */
  words: string;
}

const named = 3;

/**
 * What a change of the catalogue does to the shop's panels: lost fields, lost options, new values without a colour.
 * @param hasSwatch whether a value would have a colour or picture by the shop's book
 */
export function importEffects(
  { fields }: CatalogueChange,
  panels: readonly PanelDocument[],
  hasSwatch: (field: string, value: string) => boolean,
): ImportEffect[] {
  return panels.flatMap((panel) =>
    facetRows(panel).flatMap((row) => {
      const change = fields.find(({ field }) => field.key === row.field);
      if (!change) return [];
      const effect = (words: string): ImportEffect => ({
        panel: panel.name,
        facet: row.label || change.field.name,
        words,
      });
      if (change.state === "gone")
        return [effect("The field is gone, so the facet shows nothing. Remove the facet, or bring the field along.")];
      const effects: ImportEffect[] = [];
      const discrete = row.mode !== "range";
      if (discrete && change.goneValues.length > 0)
        effects.push(
          effect(
            `${listed(change.goneValues)} ${change.goneValues.length === 1 ? "is" : "are"} no longer stated by any product.`,
          ),
        );
      const swatches = bands.some((band) => displays[resolve(row.display, band)].swatches);
      const colourless = change.newValues.filter((value) => !hasSwatch(row.field, value));
      if (swatches && colourless.length > 0)
        effects.push(
          effect(`${listed(colourless)} ${colourless.length === 1 ? "is new and has" : "are new and have"} no colour.`),
        );
      return effects;
    }),
  );
}

/** The first few by name, the rest by number. */
function listed(values: readonly string[]): string {
  const shown = values.slice(0, named).join(", ");
  return values.length > named ? `${shown} and ${values.length - named} more` : shown;
}
