import type { CatalogueIndex } from "../core/index/catalogue-index.ts";
import type { Answer, Engine, Question } from "../core/match/engine.ts";
import { fitSelection, type Selection } from "../core/match/selection.ts";
import { type Band, bandAt } from "../core/panel/bands.ts";
import { engineFacets, type PanelDocument } from "../core/panel/document.ts";
import type { SwatchBook } from "../core/swatch/book.ts";
import { type Place, startPlace } from "./address.ts";
import type { Boot } from "./shop-data.ts";

export const pageSize = 24;

/** All that a listing page is drawn from. Never changed in place. */
export interface PageState extends Place {
  shop: Boot["shop"];
  panel: PanelDocument;
  band: Band;
  index: CatalogueIndex;
  swatches: SwatchBook;
  answer: Answer;
  drawerOpen: boolean;
  /** Row that the designer points at in the lattice. */
  marked: string | undefined;
}

export type Listener = (state: PageState, change: Change) => void;
/** Why the state changed: `place` is a shopper's step that belongs in the address bar. */
export type Change = "place" | "panel" | "view";

/** What the engine is asked for a page. */
export function questionOf(panel: PanelDocument, { selection, sort, page }: Place): Question {
  return { facets: engineFacets(panel), selection, sort, from: (page - 1) * pageSize, size: pageSize };
}

/** Holds the state of one listing page and tells listeners when it changes. */
export class PageStore {
  #state: PageState;
  #engine: Engine;
  #listeners = new Set<Listener>();
  #asked = 0;

  constructor(state: PageState, engine: Engine) {
    this.#state = state;
    this.#engine = engine;
  }

  get state(): PageState {
    return this.#state;
  }

  subscribe(listener: Listener): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** A shopper's step; it starts again at the first page. */
  select(selection: Selection): void {
    this.go({ selection, sort: this.#state.sort, page: 1 });
  }

  /** Shows another place; `change` is "view" when the place came from the address bar itself. */
  go(place: Place, change: Change = "place"): void {
    this.#ask({ ...this.#state, ...place }, change);
  }

  /** Puts a changed panel on the page; the selection stays as far as it still has a meaning. */
  setPanel(panel: PanelDocument): void {
    this.#ask({ ...this.#state, panel, selection: fitSelection(this.#state.selection, engineFacets(panel)) }, "panel");
  }

  /** Tells the page its width in CSS px. */
  setWidth(width: number): void {
    const band = bandAt(width, this.#state.panel.limits);
    if (band !== this.#state.band) this.#put({ ...this.#state, band, drawerOpen: false }, "view");
  }

  openDrawer(open: boolean): void {
    if (open !== this.#state.drawerOpen) this.#put({ ...this.#state, drawerOpen: open }, "view");
  }

  mark(row: string | undefined): void {
    if (row !== this.#state.marked) this.#put({ ...this.#state, marked: row }, "view");
  }

  #ask(next: PageState, change: Change): void {
    const turn = ++this.#asked;
    const take = (answer: Answer) => {
      // A page beyond the last is the last: a shared link may be older than the catalogue.
      const last = Math.max(1, Math.ceil(answer.total / pageSize));
      if (next.page > last) this.#ask({ ...next, page: last }, change);
      else if (turn === this.#asked)
        this.#put({ ...this.#state, ...next, drawerOpen: this.#state.drawerOpen, marked: this.#state.marked, answer }, change);
    };
    const answer = this.#engine.ask(questionOf(next.panel, next));
    if (answer instanceof Promise) answer.then(take);
    else take(answer);
  }

  #put(state: PageState, change: Change): void {
    this.#state = state;
    for (const listener of this.#listeners) listener(state, change);
  }
}

/** The first state of a page. */
export function firstState(
  boot: Boot,
  index: CatalogueIndex,
  swatches: SwatchBook,
  engine: { ask(q: Question): Answer },
  band: Band,
  place: Place = startPlace,
): PageState {
  const ask = (at: Place) => engine.ask(questionOf(boot.panel, at));
  let at = place;
  let answer = ask(at);
  const last = Math.max(1, Math.ceil(answer.total / pageSize));
  if (at.page > last) {
    at = { ...at, page: last };
    answer = ask(at);
  }
  return { ...at, shop: boot.shop, panel: boot.panel, band, index, swatches, answer, drawerOpen: false, marked: undefined };
}
