import { createStore, type StoreApi } from "zustand";
import type { Answer } from "../../core/engine/answer.ts";
import type { Selection } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import type { RowShift } from "../../core/findings/layout-shift.ts";
import type { PageMeasure } from "../../core/findings/measure.ts";
import type { Reaches } from "../../core/findings/reach.ts";
import type { PageUse } from "../../core/findings/visit-use.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Asked } from "../../core/recount/rows.ts";
import type { Band } from "../../core/settings/band.ts";
import { firstScreens, type Screen } from "../../core/settings/first-screen.ts";
import type { Vision } from "../../core/swatch/measure.ts";
import type { ToStage } from "../../storefront/stage/messages.ts";
import type { RememberedBench } from "./bench-memory.ts";

/** The page on the stage, and its products' answer; written by `stage-page.tsx` and `evidence-line.tsx`. */
interface StageState {
  /** Address of the stage's page. */
  address: string;
  /** That page with its panels; undefined until it is computed. */
  shown: StagePage | undefined;
  /** Shared by both frames of the stage. */
  selection: Selection;
  /** The frame in which it was chosen, which already shows it; undefined if it was chosen elsewhere. */
  chosenBy: MessageEventSource | undefined;
  /** The answer of that page's products for the panel's facets, with the selection. */
  answer: Answer | undefined;
  /** The question that it answers. */
  asked: Asked | undefined;
  /** By row, the number of that page's products found by some offered option. */
  reaches: Reaches;
  /** The acts of real shoppers on that page; undefined if nothing is known. */
  use: PageUse | undefined;
}

/** How the pages are shown; remembered for the next visit. */
interface ViewState {
  /** The visible frames. */
  frames: "both" | "wide" | "phone";
  zoom: Zoom;
  /** The lattice is reduced to names, so that the stage has more space. */
  folded: boolean;
  /** Page width of the wide frame, in CSS px. */
  pageWidth: number;
  /** The simulated colour vision. */
  sight: Vision;
  /** The pages are shown in dark mode. */
  dark: boolean;
  /** BCP 47 tag of the pages' language. */
  language: string;
  /** By band, the usual screen size. */
  screens: Readonly<Record<Band, Screen>>;
}

/** The rows being worked on, in the lattice or on a page. */
interface WorkState {
  /** The pages are in arranging mode rather than trying mode. */
  arranging: boolean;
  /** The index at which a facet or piece is being added. */
  adding: number | undefined;
  /** The row being styled on the page, the part pointed at, and its position in the window. */
  styling: { row: string; part: string | undefined; band: Band; left: number; right: number; y: number } | undefined;
  /** Row pointed at in the lattice, highlighted on the pages. */
  marked: string | undefined;
  /** Row pointed at on a page, highlighted in the lattice. */
  pointed: string | undefined;
  /** Row with open settings, or “panel” for the panel's own. */
  unfolded: string | undefined;
  /** Rows selected to be changed together. */
  chosen: readonly string[];
}

/** The looks of the page, computed by `look-keeper.tsx`. */
interface LookState {
  /** The rules of the page's looks, as CSS; undefined until they have loaded. */
  look: string | undefined;
  /** By band, the same for pictures, which adopt it without rerendering. */
  pictureLooks: Readonly<Record<Band, CSSStyleSheet>>;
  /** A look of the page has dark colours. */
  hasDark: boolean;
}

/** Measurements from the frames. */
interface MeasuredState {
  /** By band, the row heights measured on the pages. */
  measures: Readonly<Partial<Record<Band, PageMeasure>>>;
  /** The bands still to be tried for layout shift; the first is under way. */
  trials: readonly Band[];
  /** By band, each row's largest shift, and the panel that was tried. */
  shifts: Readonly<Partial<Record<Band, { of: PanelDocument; rows: readonly RowShift[] }>>>;
  /** The heights are being viewed, so the medium band is measured too. */
  measuring: boolean;
}

/** The designer's session on the bench; never saved in a document. */
export type Session = StageState & ViewState & WorkState & LookState & MeasuredState;

/** The stage's page, in the form sent to its frames. */
export type StagePage = Pick<Extract<ToStage, { zt: "page" }>, "page" | "panels" | "around">;

/** The scale of pages: readable, fitting, half or full size. */
export type Zoom = "read" | "fit" | "half" | "actual";

export type SessionStore = StoreApi<Session>;

/** @param address of the initial page @param kept the remembered session */
export const createSession = (address: string, kept: Partial<RememberedBench> = {}): SessionStore =>
  createStore<Session>(() => ({
    selection: emptySelection,
    chosenBy: undefined,
    address,
    shown: undefined,
    answer: undefined,
    asked: undefined,
    reaches: new Map(),
    use: undefined,
    frames: "both",
    zoom: "read",
    folded: false,
    arranging: false,
    adding: undefined,
    styling: undefined,
    marked: undefined,
    pointed: undefined,
    unfolded: undefined,
    chosen: [],
    pageWidth: 1280,
    look: undefined,
    pictureLooks: { wide: new CSSStyleSheet(), medium: new CSSStyleSheet(), slim: new CSSStyleSheet() },
    sight: "usual",
    dark: false,
    hasDark: false,
    language: "en",
    measures: {},
    screens: firstScreens,
    trials: [],
    shifts: {},
    measuring: false,
    ...kept,
  }));
