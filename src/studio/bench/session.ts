import { createStore, type StoreApi } from "zustand";
import type { Answer } from "../../core/engine/answer.ts";
import type { Selection } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import type { RowShift } from "../../core/findings/layout-shift.ts";
import type { PageMeasure } from "../../core/findings/measure.ts";
import type { Reaches } from "../../core/findings/reach.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Asked } from "../../core/recount/rows.ts";
import type { Band } from "../../core/settings/band.ts";
import { firstScreens, type Screen } from "../../core/settings/first-screen.ts";
import type { Vision } from "../../core/swatch/measure.ts";
import type { ToStage } from "../../storefront/stage/messages.ts";
import type { RememberedBench } from "./bench-memory.ts";

/** The page on the stage, and its products' answer; written by `stage-page.tsx` and `evidence-line.tsx`. */
interface StageState {
  /** Address of the page that is on the stage. */
  address: string;
  /** That page with its panels; undefined until it is computed. */
  shown: StagePage | undefined;
  /** Shared by both frames of the stage. */
  selection: Selection;
  /** The page that it was chosen on, which knows it already; undefined if it was chosen elsewhere. */
  chosenBy: MessageEventSource | undefined;
  /** The answer of that page's products to the panel's facets, with what is chosen. */
  answer: Answer | undefined;
  /** The question that it answers. */
  asked: Asked | undefined;
  /** The products of that page that each facet’s offered options find, by row. */
  reaches: Reaches;
}

/** How the pages are shown; kept for the next visit. */
interface ViewState {
  /** Which of the two frames are shown, and how large. */
  frames: "both" | "wide" | "phone";
  zoom: Zoom;
  /** The lattice shows names only, so that the stage has more room. */
  folded: boolean;
  /** Page width of the wide frame, in CSS px. */
  pageWidth: number;
  /** How colours on the pages are seen. */
  sight: Vision;
  /** The pages are shown as to shoppers who prefer dark. */
  dark: boolean;
  /** BCP 47 tag of the language that the pages are shown in. */
  language: string;
  /** By band, the size of the screen that most people have. */
  screens: Readonly<Record<Band, Screen>>;
}

/** The rows that the designer works on, in the lattice or on a page. */
interface WorkState {
  /** The pages are for arranging, and not for trying. */
  arranging: boolean;
  /** Where a facet or a piece is to be added, while one is chosen. */
  adding: number | undefined;
  /** The row that is styled on the page itself, the part of it that was pointed at, and its position in the window. */
  styling: { row: string; part: string | undefined; band: Band; left: number; right: number; y: number } | undefined;
  /** Row pointed at in the lattice, shown on the pages. */
  marked: string | undefined;
  /** Row pointed at on a page, shown in the lattice. */
  pointed: string | undefined;
  /** Row whose settings are unfolded, or “panel” for the panel's own. */
  unfolded: string | undefined;
  /** Rows that are changed together. */
  chosen: readonly string[];
}

/** The looks of the page, as `use-look.ts` has worked them out. */
interface LookState {
  /** The rules of the page's looks, as CSS; undefined until they have loaded. */
  look: string | undefined;
  /** By band, the same for pictures that adopt it, which follow without being drawn anew. */
  pictureLooks: Readonly<Record<Band, CSSStyleSheet>>;
  /** A look of the page has colours for shoppers who prefer dark. */
  hasDark: boolean;
}

/** What the frames have measured. */
interface MeasuredState {
  /** By band, how high the rows stand, as the pages have measured them. */
  measures: Readonly<Partial<Record<Band, PageMeasure>>>;
  /** The bands on which the rows are still to be tried for what they move; the first is under way. */
  trials: readonly Band[];
  /** By band, what each row's worst step moves, and the panel that was tried. */
  shifts: Readonly<Partial<Record<Band, { of: PanelDocument; rows: readonly RowShift[] }>>>;
  /** Someone looks at the heights, so the medium band is measured too. */
  measuring: boolean;
}

/** The designer's session on the bench; never saved with a document. */
export type Session = StageState & ViewState & WorkState & LookState & MeasuredState;

/** The page on the stage, as its frames are told. */
export type StagePage = Pick<Extract<ToStage, { zt: "page" }>, "page" | "panels" | "around">;

/** How large pages are shown: so that their text can be read, so that they fit, at half or at their own size. */
export type Zoom = "read" | "fit" | "half" | "actual";

export type SessionStore = StoreApi<Session>;

/** @param address of the page that is on the stage at first @param kept how the bench was left */
export const createSession = (address: string, kept: Partial<RememberedBench> = {}): SessionStore =>
  createStore<Session>(() => ({
    selection: emptySelection,
    chosenBy: undefined,
    address,
    shown: undefined,
    answer: undefined,
    asked: undefined,
    reaches: new Map(),
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
