import type { DisplayName } from "../displays/displays.ts";
import type { Clause, Facet, Sort } from "../engine/question.ts";
import type { Measure } from "../findings/measure.ts";
import type { PanelOnPage } from "../page/pages-schema.ts";
import type { ShownPage } from "../page/shown-page.ts";
import { engineFacets } from "../panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../panel/panel-schema.ts";
import { type Band, resolve } from "../settings/band.ts";
import { behaviours } from "../settings/behaviour.ts";
import { placementFacts } from "../settings/placement.ts";
import { type FacetSettings, settingsOn } from "../settings/settings.ts";
import { estimatedHeight } from "./heights.ts";

/** A facet on a page on one band. */
export interface SceneFacet {
  panel: string;
  row: FacetRow;
  facet: Facet;
  display: DisplayName;
  settings: FacetSettings;
  /** Its distance from the start of its panel, and its height, in CSS px. */
  top: number;
  height: number;
  folded: boolean;
}

/** A panel on a page on one band. */
export interface ScenePanel {
  slug: string;
  /** Visible at once, or behind a button: in a drawer, or collapsed in place. */
  entry: "open" | "drawer" | "folded";
  /** Choices take effect only when a button is pressed. */
  waits: boolean;
  /** It, or the button that opens it, stays in sight while the page scrolls. */
  sticky: boolean;
  /** After a choice the page goes back to the top of the results. */
  back: boolean;
  /** Its distance from the first screen's top, and the height visible at once, in CSS px. */
  top: number;
  window: number;
}

/** Everything about a page that determines what shoppers do on it, on one band. */
export interface Scene {
  band: Band;
  within: Clause[];
  sort: Sort;
  panels: ScenePanel[];
  facets: SceneFacet[];
  cards: SceneCards;
  /** Height of the first screen less the fixed bars, in CSS px. */
  screen: number;
  /** Every height was measured by a browser; otherwise some or all are estimated. */
  measured: boolean;
}

/** The grid of product cards: number per row, and row height including the gap, in CSS px. */
export interface SceneCards {
  /** Below the first screen's top. */
  top: number;
  columns: number;
  height: number;
}

/** A panel on a page, with a browser's measurements on the band, if any. */
export interface StandingPanel extends PanelOnPage {
  document: PanelDocument;
  measure?: Measure | undefined;
}

/** Height of the first screen if unknown: 1280 × 800, 834 × 1112 and 390 × 844 minus usual bars. */
const defaultScreen: Readonly<Record<Band, number>> = { wide: 700, medium: 1010, slim: 740 };
/** Position of the first product, below the page's name. Common practice, no source. */
const defaultTop = 130;
/** Product cards if not measured: those of the stand-in shop. */
const defaultCards: Readonly<Record<Band, Omit<SceneCards, "top">>> = {
  wide: { columns: 4, height: 300 },
  medium: { columns: 3, height: 320 },
  slim: { columns: 2, height: 280 },
};
/** A line of a list or a table. */
const defaultLines: Omit<SceneCards, "top"> = { columns: 1, height: 130 };
/** Height of the button of a collapsed panel or a drawer. */
export const buttonHeight = 56;
/** Height of a drawer's header and footer. */
const drawerEdges = 130;

/**
 * The scene of a page.
 * @param panels on the page, in order
 * @param optionsOf number of options that a facet offers on the page; for estimated heights
 */
export function sceneOf(
  page: Pick<ShownPage, "within" | "order" | "layout">,
  panels: readonly StandingPanel[],
  band: Band,
  optionsOf: (row: FacetRow) => number,
): Scene {
  const screen = panels.find(({ measure }) => measure)?.measure?.screen ?? defaultScreen[band];
  const standing = panels.flatMap((one) => {
    const placement = resolve(one.at ?? one.document.placement, band);
    return placementFacts[placement].apart ? [] : [{ ...one, placement }];
  });
  const rows = standing.flatMap(({ document }) => document.rows);
  const asked = new Map(engineFacets({ rows }, band).map((facet) => [facet.field, facet]));
  const facets: SceneFacet[] = [];
  /** Start of the products as far as known: below the panels above them. */
  let productsTop = defaultTop;
  const scenePanels = standing.map(({ panel: slug, document, placement, measure }): ScenePanel => {
    const behaviour = behaviours.allOn(document.behaviour ?? {}, band);
    const { form, slot, sticks } = placementFacts[placement];
    const narrow = form === "column" || form === "drawer";
    const laid = layRows(document, band, narrow, (row) => measure?.rows[row.id], optionsOf);
    for (const { row, top, height, settings, display } of laid.facets) {
      const facet = asked.get(row.field);
      const folded = settings.title && settings.start === "folded";
      if (facet) facets.push({ panel: slug, row, facet, display, settings, top, height, folded });
    }
    const above = slot === "above";
    const start = measure ? measure.products - (above ? measure.panel : 0) : productsTop;
    if (measure) productsTop = measure.products;
    else if (above) productsTop += form === "folded" ? buttonHeight : laid.height;
    return {
      slug,
      entry: form === "drawer" || form === "folded" ? form : "open",
      waits: behaviour.apply === "button",
      sticky: form === "drawer" ? behaviour.buttonPlace === "float" : behaviour.sticky && sticks !== undefined,
      back: behaviour.back === "top",
      top: form === "drawer" ? 0 : Math.max(0, start),
      window: form === "drawer" ? screen - drawerEdges : screen,
    };
  });
  const { layout, order } = page;
  const cards = panels.find(({ measure }) => measure?.cards)?.measure?.cards;
  return {
    band,
    within: page.within,
    sort: layout.sorts[0]?.sort || order,
    panels: scenePanels,
    facets,
    cards: { top: productsTop, ...(cards ?? defaultCardsOf(layout, band)) },
    screen,
    measured: cards !== undefined && standing.every(({ measure }) => measure !== undefined),
  };
}

interface LaidRow {
  row: FacetRow;
  display: DisplayName;
  settings: FacetSettings;
  /** Its distance from the start of the panel, and its height, in CSS px. */
  top: number;
  height: number;
}

/**
 * Lays out a panel's rows.
 * @param narrow whether facets are below one another by default, as in a column
 * @param measured height of a row; undefined for an estimate
 * @param optionsOf number of options that a facet offers
 * @returns its facets, and its height in CSS px
 */
export function layRows(
  { rows }: Pick<PanelDocument, "rows">,
  band: Band,
  narrow: boolean,
  measured: (row: Row) => number | undefined,
  optionsOf: (row: FacetRow) => number,
): { facets: LaidRow[]; height: number } {
  const facets: LaidRow[] = [];
  let top = 0;
  let share = 0;
  /** Height of the line that is not full yet. */
  let open = 0;
  for (const row of rows) {
    if (row.kind !== "facet") {
      top += measured(row) ?? 48;
      continue;
    }
    const settings = settingsOn(row.settings, band);
    const display = resolve(row.display, band);
    const height = measured(row) ?? estimatedHeight(display, settings, optionsOf(row), band);
    facets.push({ row, display, settings, top, height });
    // Several facets share a line if the designer has set so, or by default above the products.
    share += shareOf(settings.share, narrow);
    open = Math.max(open, height);
    if (share > 0.99) {
      top += open;
      share = 0;
      open = 0;
    }
  }
  return { facets, height: top + open };
}

function defaultCardsOf({ form, columns }: Pick<ShownPage["layout"], "form" | "columns">, band: Band) {
  if (resolve(form, band) !== "grid") return defaultLines;
  const usual = defaultCards[band];
  return { ...usual, columns: resolve(columns, band) || usual.columns };
}

const shareOf = (share: FacetSettings["share"], beside: boolean): number =>
  ({ auto: beside ? 1 : 0.25, full: 1, half: 0.5, third: 1 / 3, quarter: 0.25 })[share];
