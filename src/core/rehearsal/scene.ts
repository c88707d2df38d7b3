import { type Band, resolve } from "../band/band.ts";
import { behaviours, canStick } from "../behaviour/behaviour.ts";
import { type DisplayName, displays } from "../display/displays.ts";
import type { Measure } from "../finding/measure.ts";
import type { Clause, Facet, Sort } from "../match/question.ts";
import type { Standing } from "../page/pages-schema.ts";
import type { ShownPage } from "../page/shown-page.ts";
import { engineFacets } from "../panel/panel.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import { type FacetSettings, settingsOn } from "../setting/settings.ts";
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
  /** What is chosen waits for a button to be pressed. */
  waits: boolean;
  /** It stays in sight while the page scrolls. */
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
  /** Height of the first screen less the fixed bars, in CSS px. */
  screen: number;
}

/** A panel that stands on a page, with what a browser has measured of it on the band, where one has. */
export interface StandingPanel extends Standing {
  document: PanelDocument;
  measure?: Measure | undefined;
}

/** The height of the first screen until something else is known: 1280 × 800, 834 × 1112 and 390 × 844 less usual bars. */
const usualScreen: Readonly<Record<Band, number>> = { wide: 700, medium: 1010, slim: 740 };
/** Where the first product stands, below the page's name. Common practice, no source. */
const usualTop = 130;
/** What of a drawer's height its head and foot take. */
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
    const hidden = ["absent", "nothing", "article"].includes(placement);
    return hidden ? [] : [{ ...one, placement }];
  });
  const rows = standing.flatMap(({ document }) => document.rows);
  const asked = new Map(engineFacets({ rows }, band).map((facet) => [facet.field, facet]));
  const facets: SceneFacet[] = [];
  const scenePanels = standing.map(({ panel: slug, document, placement, measure }): ScenePanel => {
    const behaviour = behaviours.allOn(document.behaviour ?? {}, band);
    const beside = placement === "left" || placement === "right" || placement === "drawer";
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
      const height = measure?.rows[row.id] ?? estimatedHeight(displays[display].room, settings, optionsOf(row), band);
      const facet = asked.get(row.field);
      if (facet) facets.push({ panel: slug, row, facet, display, settings, top, height, folded });
      // Several facets share a line where the designer has set so, and above the products by themselves.
      share += shareOf(settings.share, beside);
      if (share > 0.99) {
        top += height;
        share = 0;
      }
    }
    return {
      slug,
      entry: placement === "drawer" ? "drawer" : placement === "folded" ? "folded" : "open",
      waits: behaviour.apply === "button",
      sticky: behaviour.sticky && canStick.includes(placement),
      back: behaviour.back === "top",
      top: placement === "drawer" ? 0 : (measure?.products ?? usualTop),
      window: placement === "drawer" ? screen - drawerEdges : screen,
    };
  });
  const { layout, order } = page;
  return { band, within: page.within, sort: layout.sorts[0]?.sort || order, panels: scenePanels, facets, screen };
}

const shareOf = (share: FacetSettings["share"], beside: boolean): number =>
  ({ auto: beside ? 1 : 0.25, full: 1, half: 0.5, third: 1 / 3, quarter: 0.25 })[share];
