import { countsOf } from "../engine/engine.ts";
import type { Clause } from "../engine/question.ts";
import type { Measure } from "../findings/measure.ts";
import type { PagesDocument } from "../page/pages-schema.ts";
import { shownPage } from "../page/shown-page.ts";
import { offeredOptions, shownOn } from "../panel/offered.ts";
import { engineFacets } from "../panel/panel.ts";
import type { FacetRow, NamedValue, PanelDocument, Row } from "../panel/panel-schema.ts";
import type { LocalFacts } from "../profile/local-facts.ts";
import type { Band } from "../settings/band.ts";
import { type Scene, sceneOf } from "./scene.ts";

/**
 * The scene of a page; undefined if there is no such page.
 * @param panels every panel of the shop by slug, in order
 * @param measures by panel, a browser's measurements on the band
 */
export function pageScene(
  facts: LocalFacts,
  address: string,
  pages: PagesDocument,
  panels: ReadonlyMap<string, PanelDocument>,
  band: Band,
  measures: ReadonlyMap<string, Measure> = new Map(),
): Scene | undefined {
  const [first] = panels.keys();
  const page = shownPage(address, pages, facts.pageFacts(), first);
  if (!page) return undefined;
  const standing = page.layout.panels.flatMap((one) => {
    const document = panels.get(one.panel);
    return document ? [{ ...one, document, measure: measures.get(one.panel) }] : [];
  });
  const rows = standing.flatMap(({ document }) => document.rows);
  const offered = offeredBy(facts, rows, band, page.within);
  return sceneOf(page, standing, band, (row) => offered(row).length);
}

/** The options offered by facets, most frequent first. @param within the page's conditions */
export function offeredBy(
  facts: LocalFacts,
  rows: readonly Row[],
  band: Band,
  within?: Clause[],
): (row: FacetRow) => NamedValue[] {
  const { facets } = facts.ask(countsOf(engineFacets({ rows: [...rows] }, band), undefined, within));
  return (row) => {
    const answer = Object.hasOwn(facets, row.field) ? facets[row.field] : undefined;
    if (!answer) return [];
    return offeredOptions(row, shownOn(row, band), answer)
      .flatMap((o) => {
        const option = answer.options[o];
        return option ? { ...option, products: answer.counts.steady[o] ?? 0 } : [];
      })
      .sort((a, b) => b.products - a.products);
  };
}
