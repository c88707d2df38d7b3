import type { CatalogueChange, FieldChange } from "../catalogue/compare.ts";
import { identity } from "../catalogue/identity.ts";
import { displays } from "../displays/displays.ts";
import type { Condition } from "../engine/question.ts";
import type { PagesDocument } from "../page/pages-schema.ts";
import { isShown } from "../panel/options.ts";
import { facetRows, rulesOf } from "../panel/panel.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import { bands, resolve } from "../settings/band.ts";

/** A part of a panel or page affected by a new catalogue. */
export interface ImportEffect {
  /** The affected part: a panel's facet, or a page. */
  place: string;
  /** The effect, in one sentence. */
  words: string;
}

const named = 3;

/**
 * The effects of a new catalogue on shoppers: lost fields, options and products of collections, new values without a
 * colour. A facet is only affected by values it shows.
 * @param hasSwatch whether a value would have a colour or picture in the swatch book
 */
export function importEffects(
  change: CatalogueChange,
  panels: readonly PanelDocument[],
  pages: Pick<PagesDocument, "collections" | "everywhere" | "layouts" | "exceptions">,
  hasSwatch: (field: string, value: string) => boolean,
): ImportEffect[] {
  return [
    ...pageEffects(change, pages),
    ...panels.flatMap((panel) =>
      facetRows(panel).flatMap((row) => {
        const field = change.fields.find((one) => one.field.key === row.field);
        if (!field) return [];
        const place = `${panel.name}, ${row.label || field.field.name}`;
        return facetEffects(field, row, hasSwatch).map((words) => ({ place, words }));
      }),
    ),
  ];
}

function facetEffects(change: FieldChange, row: FacetRow, hasSwatch: (field: string, value: string) => boolean) {
  if (change.state === "gone")
    return ["The field is gone, so the facet is empty. Remove the facet, or include the field in the file."];
  const rules = rulesOf(row);
  const shown = (values: readonly string[]) =>
    row.mode === "range" ? [] : values.filter((value) => isShown(rules, identity(value)));
  const [gone, come] = [shown(change.goneValues), shown(change.newValues)];
  const effects: string[] = [];
  if (gone.length > 0) effects.push(`${listed(gone)} ${gone.length === 1 ? "is" : "are"} no longer in any product.`);
  const swatches = bands.some((band) => displays[resolve(row.display, band)].swatches);
  const colourless = come.filter((value) => !hasSwatch(row.field, value));
  if (swatches && colourless.length > 0)
    effects.push(`${listed(colourless)} ${colourless.length === 1 ? "is new and has" : "are new and have"} no colour.`);
  return effects;
}

function pageEffects(
  { gone, fields }: CatalogueChange,
  {
    collections,
    everywhere,
    layouts,
    exceptions,
  }: Pick<PagesDocument, "collections" | "everywhere" | "layouts" | "exceptions">,
): ImportEffect[] {
  const titles = new Map(gone.map(({ id, title }) => [id, title]));
  const lost = (conditions: readonly Condition[] | undefined) =>
    (conditions ?? []).flatMap((condition) => {
      const field = "field" in condition && fields.find((one) => one.field.key === condition.field);
      if (!field) return [];
      if (field.state === "gone")
        return [`The field ${field.field.name}, which it uses, is gone, so it has no products.`];
      const asked = "options" in condition ? condition.options : [];
      const missing = field.goneValues.filter((value) => asked.includes(identity(value)));
      return missing.length === 0 ? [] : [`It uses ${listed(missing)}, which no product has any more.`];
    });
  const words = (place: string, all: readonly string[]) => all.map((one) => ({ place, words: one }));
  return [
    ...collections.flatMap(({ name, of }) => {
      if (of.by === "conditions") return words(`Collection ${name}`, lost(of.conditions));
      if (of.by !== "hand") return [];
      const missing = of.products.flatMap((id) => titles.get(id) ?? []);
      const one = missing.length === 1;
      return missing.length === 0
        ? []
        : words(`Collection ${name}`, [
            `${listed(missing)}, picked by hand, ${one ? "is" : "are"} no longer in the catalogue.`,
          ]);
    }),
    ...words("All pages of the shop", lost(everywhere?.within)),
    ...Object.entries(layouts).flatMap(([kind, layout]) => words(`All pages: ${kind}`, lost(layout?.within))),
    ...Object.entries(exceptions).flatMap(([address, layout]) => words(`Page ${address}`, lost(layout.within))),
  ];
}

/** The first few by name, and the number of the rest. */
function listed(values: readonly string[]): string {
  const shown = values.slice(0, named).join(", ");
  return values.length > named ? `${shown} and ${values.length - named} more` : shown;
}
