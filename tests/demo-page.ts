import { readFileSync } from "node:fs";
import { demoPanel } from "../demo/panel.ts";
import { readCatalogue } from "../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../src/core/engine/local-engine.ts";
import type { Selection } from "../src/core/engine/question.ts";
import { emptySelection } from "../src/core/engine/selection.ts";
import { startPlace } from "../src/core/page/browse-state/browse-state.ts";
import { pagesKind } from "../src/core/page/kind.ts";
import type { PagesDocument } from "../src/core/page/pages-schema.ts";
import { type ShownPage, shownPage } from "../src/core/page/shown-page.ts";
import { facetRows } from "../src/core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../src/core/panel/panel-schema.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import type { PagePanel } from "../src/storefront/page/page-panel.ts";
import { answerAt, firstState, type PageState } from "../src/storefront/page/page-state.ts";
import type { Boot } from "../src/storefront/shop/boot.ts";

/** The demo's catalogue, and an engine over it that answers at once. */
export const index = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
export const engine = new LocalEngine(index);
export const facts = new LocalFacts(index, engine).pageFacts();

/** The demo's first panel, as a page has it. */
export const panelsOf = (panel: PanelDocument): PagePanel[] => [{ slug: "climber-finder", panel }];
export const lightRow = facetRows(demoPanel).find(({ field }) => field === "light") as FacetRow;

/** A page of a shop with the demo's catalogue; its pages are as every shop's are to begin with, unless they are given. */
export function pageAt(address: string, pages: PagesDocument = pagesKind.fresh("")): ShownPage {
  const page = shownPage(address, pages, facts, "climber-finder");
  if (!page) throw new Error(`There is no ${address}.`);
  return page;
}

/** The initial data of such a page. */
export const bootAt = (address: string, panels: PagePanel[], pages: PagesDocument = pagesKind.fresh("")): Boot => ({
  shop: {
    slug: "n",
    name: "Larkmoss <Nursery>",
    currency: "EUR",
    bars: pages.bars,
    menu: pages.menu,
    search: undefined,
    suggest: "/suggest?q=",
  },
  base: "/shop/n",
  page: pageAt(address, pages),
  fields: index.catalogue.fields,
  panels,
  limits: { medium: 750, wide: 1000 },
  swatches: {},
  language: "en",
  engine: "page",
  data: "",
  ask: "",
  stage: false,
});

/** The first state of a page on wide. */
export function wideState(boot: Boot, selection: Selection = emptySelection): PageState {
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const asking = { shown: boot.page, panels: boot.panels, band: "wide", fields, shop: boot.shop } as const;
  const found = answerAt(engine, asking, { ...startPlace, selection });
  if (found instanceof Promise) throw new Error("The engine took its time.");
  return firstState(boot, "wide", found, "");
}

/** The first state of the whole shop's page with a panel. */
export const stateFor = (panel: PanelDocument, selection?: Selection): PageState =>
  wideState(bootAt("/", panelsOf(panel)), selection);

/** Options of one field, chosen. */
export const chosen = (field: string, ...options: string[]): Selection => ({
  text: "",
  choices: { [field]: { options } },
});

/** A shopper's click on an option. */
export const toggling = (field: string, option: string) =>
  ({ do: "toggle", facet: { field, mode: "any" }, option }) as const;
