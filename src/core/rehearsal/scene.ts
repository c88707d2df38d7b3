import type { DisplayName } from "../displays/displays.ts";
import type { Clause, Facet, Sort } from "../engine/question.ts";
import type { Measure } from "../findings/measure.ts";
import type { PanelOnPage } from "../page/pages-schema.ts";
import type { ShownPage } from "../page/shown-page.ts";
import { engineFacets } from "../panel/panel.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import { type Band, resolve } from "../settings/band.ts";
import { behaviours } from "../settings/behaviour.ts";
import { placementFacts } from "../settings/placement.ts";
import { type FacetSettings, settingsOn } from "../settings/settings.ts";
import { estimatedHeight } from "./heights.ts";

/** A facet as it stands on a page on one band. */
export interface SceneFacet {
  panel: string;
  row: FacetRow;
  facet: Facet;
  display: DisplayName;
  settings: FacetSettings;
  /** How far below the beginning of its panel it starts, and how high it is, in CSS px. */
  top: number;
  height: number;
  folded: boolean;
}

/** A panel as it stands on a page on one band. */
export interface ScenePanel {
  slug: string;
  /** It is there at once, or behind a button: in a drawer, or folded where it stands. */
  entry: "open" | "drawer" | "folded";
  /** Choices wait for a button to be pressed. */
  waits: boolean;
  /** It, or the button that opens it, stays in sight while the page scrolls. */
  sticky: boolean;
  /** After a choice the page goes back to the top of the results. */
  back: boolean;
  /** How far below the first screen's top it starts, and how much of it is seen at once, in CSS px. */
  top: number;
  window: number;
}

/** All of a page that decides what shoppers do on it, on one band. */
export interface Scene {
  band: Band;
  within: Clause[];
  sort: Sort;
  panels: ScenePanel[];
  facets: SceneFacet[];
  cards: SceneCards;
  /** Height of the first screen less the fixed bars, in CSS px. */
  screen: number;
  /** Every height is a browser's; where it isn't, some or all are estimated. */
  measured: boolean;
}

/** Where the products' cards stand: so many in a row, whose height has the gap below it, in CSS px. */
export interface SceneCards {
  /** Below the first screen's top. */
  top: number;
  columns: number;
  height: number;
}

/** A panel that stands on a page, with what a browser has measured of it on the band, where one has. */
export interface StandingPanel extends PanelOnPage {
  document: PanelDocument;
  measure?: Measure | undefined;
}

/** The height of the first screen until something else is known: 1280 × 800, 834 × 1112 and 390 × 844 less usual bars. */
const usualScreen: Readonly<Record<Band, number>> = { wide: 700, medium: 1010, slim: 740 };
/** Where the first product stands, below the page's name. Common practice, no source. */
const usualTop = 130;
/** Cards of products until something is measured: as the stand-in shop has them. */
const usualCards: Readonly<Record<Band, Omit<SceneCards, "top">>> = {
  wide: { columns: 4, height: 300 },
  medium: { columns: 3, height: 320 },
  slim: { columns: 2, height: 280 },
};
/** A line of a list or a table. */
const usualLines: Omit<SceneCards, "top"> = { columns: 1, height: 130 };
/** A folded panel is its button. */
const foldedHeight = 56;
/** The part of a drawer's height that its head and foot take. */
const drawerEdges = 130;

/**
 * The scene of a page.
 * @param panels those that stand on it, in order
 * @param optionsOf how many options a facet offers on the page; for heights that nothing has measured
 */
export function sceneOf(
  page: Pick<ShownPage, "within" | "order" | "layout">,
  panels: readonly StandingPanel[],
  band: Band,
  optionsOf: (row: FacetRow) => number,
): Scene {
  const screen = panels.find(({ measure }) => measure)?.measure?.screen ?? usualScreen[band];
  const standing = panels.flatMap((one) => {
    const placement = resolve(one.at ?? one.document.placement, band);
    return placementFacts[placement].apart ? [] : [{ ...one, placement }];
  });
  const rows = standing.flatMap(({ document }) => document.rows);
  const asked = new Map(engineFacets({ rows }, band).map((facet) => [facet.field, facet]));
  const facets: SceneFacet[] = [];
  /** Where the products begin, as far as it is known: below the panels that stand above them. */
  let productsTop = usualTop;
  const scenePanels = standing.map(({ panel: slug, document, placement, measure }): ScenePanel => {
    const behaviour = behaviours.allOn(document.behaviour ?? {}, band);
    const { form, slot, sticks } = placementFacts[placement];
    const narrow = form === "column" || form === "drawer";
    let top = 0;
    let share = 0;
    for (const row of document.rows) {
      if (row.kind !== "facet") {
        top += measure?.rows[row.id] ?? 48;
        continue;
      }
      const settings = settingsOn(row.settings, band);
      const display = resolve(row.display, band);
      const folded = settings.title && settings.start === "folded";
      const height = measure?.rows[row.id] ?? estimatedHeight(display, settings, optionsOf(row), band);
      const facet = asked.get(row.field);
      if (facet) facets.push({ panel: slug, row, facet, display, settings, top, height, folded });
      // Several facets share a line where the designer has set so, and above the products by themselves.
      share += shareOf(settings.share, narrow);
      if (share > 0.99) {
        top += height;
        share = 0;
      }
    }
    const above = slot === "above";
    const start = measure ? measure.products - (above ? measure.panel : 0) : productsTop;
    if (measure) productsTop = measure.products;
    else if (above) productsTop += form === "folded" ? foldedHeight : top;
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
    cards: { top: productsTop, ...(cards ?? usualCardsOf(layout, band)) },
    screen,
    measured: cards !== undefined && standing.every(({ measure }) => measure !== undefined),
  };
}

function usualCardsOf({ form, columns }: Pick<ShownPage["layout"], "form" | "columns">, band: Band) {
  if (resolve(form, band) !== "grid") return usualLines;
  const usual = usualCards[band];
  return { ...usual, columns: resolve(columns, band) || usual.columns };
}

const shareOf = (share: FacetSettings["share"], beside: boolean): number =>
  ({ auto: beside ? 1 : 0.25, full: 1, half: 0.5, third: 1 / 3, quarter: 0.25 })[share];
