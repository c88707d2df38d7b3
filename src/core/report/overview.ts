import type { ShopOverview } from "../api/overview.ts";
import { type Field, isFacetable } from "../catalogue/field.ts";
import { displays } from "../displays/displays.ts";
import type { FindingLevel } from "../findings/finding.ts";
import { pageList } from "../page/page-list.ts";
import { facetRows } from "../panel/panel.ts";
import { clashesOf } from "../profile/field-detail.ts";
import type { LocalFacts } from "../profile/local-facts.ts";
import { bands, resolve } from "../settings/band.ts";
import type { WholeShop } from "../shop/archive/whole-shop.ts";
import type { SwatchBook } from "../swatch/view.ts";
import { checkPages, checkPanels } from "./check-shop.ts";

/** Progress of the work on a shop, from its documents and catalogue. @param book the swatch of each value */
export async function overviewOf(
  whole: WholeShop,
  facts: LocalFacts,
  book: SwatchBook,
): Promise<Omit<ShopOverview, "edition" | "notes" | "steps">> {
  const { catalogue } = facts.index;
  const findings = { error: 0, warning: 0, note: 0 };
  for (const { level } of await checkPanels(whole, facts)) findings[level]++;
  const wrong = await checkPages(whole, undefined, facts);
  const pagesWith = (level: FindingLevel) =>
    new Set(wrong.flatMap((one) => (one.level === level ? one.page : []) ?? []));
  const errors = pagesWith("error");
  const warnings = [...pagesWith("warning")].filter((page) => !errors.has(page));
  return {
    catalogue: {
      products: facts.index.products,
      variants: facts.index.variants,
      fields: catalogue.fields.length,
      clashing: catalogue.fields.filter((field) => hasClashes(facts, field)).map(({ key }) => key),
      mends: whole.mends.mends.length,
    },
    panels: {
      count: whole.panels.length,
      facets: whole.panels.reduce((sum, { document }) => sum + facetRows(document).length, 0),
    },
    findings,
    swatches: swatchesIn(whole, facts, book),
    look: whole.looks.find(({ slug }) => slug === whole.shop.look)?.document.name ?? "",
    pages: {
      count: pageList(whole.pages, facts.pageFacts()).length,
      error: errors.size,
      warning: warnings.length,
    },
  };
}

/** Whether a field has values that probably mean the same but count separately. */
const hasClashes = ({ index }: LocalFacts, field: Field): boolean =>
  isFacetable(field) && clashesOf(index, field).length > 0;

/** Values shown by panels with colours or pictures, each once, and those without any. */
function swatchesIn({ panels }: WholeShop, { index }: LocalFacts, book: SwatchBook): ShopOverview["swatches"] {
  const shown = new Set(
    panels.flatMap(({ document }) =>
      facetRows(document)
        .filter(({ display }) => bands.some((band) => displays[resolve(display, band)].swatches))
        .map(({ field }) => field),
    ),
  );
  const values = [...shown].flatMap((field) =>
    index.field(field) ? index.options(field).options.map(({ id }) => ({ field, id })) : [],
  );
  const unset = values.filter(({ field, id }) => {
    const view = book[field]?.[id];
    return !view?.colours && !view?.picture;
  });
  return { values: values.length, unset: unset.length };
}
