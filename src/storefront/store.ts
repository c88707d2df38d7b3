import type { Field } from "../core/catalogue/field.ts";
import type { Answer, Engine, Question } from "../core/match/answer.ts";
import { fitSelection, type Selection } from "../core/match/selection.ts";
import { type Band, bandAt } from "../core/panel/bands.ts";
import { engineFacets, type PanelDocument } from "../core/panel/document.ts";
import type { SwatchBook } from "../core/swatch/view.ts";
import type { Place } from "./address.ts";
import type { Boot } from "./shop-data.ts";

export const pageSize = 24;

/** All that a listing page is drawn from. Never changed in place. */
export interface PageState extends Place {
  shop: Boot["shop"];
  panel: PanelDocument;
  band: Band;
  fields: ReadonlyMap<string, Field>;
  swatches: SwatchBook;
  answer: Answer;
  drawerOpen: boolean;
  /** Row that the designer points at in the lattice. */
  marked: string | undefined;
  /** BCP 47 tag of what shoppers read. */
  language: string;
}

export type Listener = (state: PageState, change: Change) => void;
/** Why the state changed: `place` is a shopper's step that belongs in the address bar, `stage` one that came from another page. */
export type Change = "place" | "panel" | "view" | "stage";

/** What the engine is asked for a page. */
export function questionOf(panel: PanelDocument, band: Band, { selection, sort, page }: Place): Question {
  return { facets: engineFacets(panel, band), selection, sort, from: (page - 1) * pageSize, size: pageSize };
}

/** Holds the state of one listing page and tells listeners when it changes. */
export class PageStore {
  #state: PageState;
  /** What was asked for last: an answer may still be under way, and the next step goes on from here. */
  #wanted: PageState;
  #engine: Engine;
  #listeners = new Set<Listener>();
  #asked = 0;
  /** A shopper's step has been asked for and not been told yet. */
  #stepped = false;

  constructor(state: PageState, engine: Engine) {
    this.#state = state;
    this.#wanted = state;
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
    this.go({ selection, sort: this.#wanted.sort, page: 1 });
  }

  /** Shows another place; `change` is "view" when the place came from the address bar itself. */
  go({ selection, sort, page }: Place, change: Change = "place"): void {
    this.#ask({ ...this.#wanted, selection, sort, page }, change);
  }

  /** Puts a changed panel on the page; the selection stays as far as it still has a meaning. */
  setPanel(panel: PanelDocument): void {
    const { selection, band } = this.#wanted;
    this.#ask({ ...this.#wanted, panel, selection: fitSelection(selection, engineFacets(panel, band)) }, "panel");
  }

  /** Tells the page its width in CSS px. */
  setWidth(width: number): void {
    const band = bandAt(width, this.#wanted.panel.limits);
    // What is counted can differ by band, as bands of a price do.
    if (band !== this.#wanted.band) this.#ask({ ...this.#wanted, band, drawerOpen: false }, "view");
  }

  /** Shows the page in another of the panel's languages. */
  setLanguage(language: string): void {
    if (language !== this.#state.language) this.#put({ ...this.#state, language }, "view");
  }

  openDrawer(open: boolean): void {
    if (open !== this.#state.drawerOpen) this.#put({ ...this.#state, drawerOpen: open }, "view");
  }

  mark(row: string | undefined): void {
    if (row !== this.#state.marked) this.#put({ ...this.#state, marked: row }, "view");
  }

  #ask(next: PageState, change: Change): void {
    const turn = ++this.#asked;
    this.#wanted = next;
    if (change === "place" || change === "stage") this.#stepped = change === "place";
    const take = ({ place, answer }: PlaceAnswer) => {
      if (turn !== this.#asked) return;
      const drawerOpen = this.#state.drawerOpen && next.band === this.#state.band;
      const { marked, language } = this.#state;
      const told = this.#stepped ? "place" : change;
      this.#stepped = false;
      this.#wanted = { ...next, ...place, drawerOpen, marked, language, answer };
      this.#put(this.#wanted, told);
    };
    const answer = answerAt(this.#engine, next.panel, next.band, next);
    if (answer instanceof Promise) answer.then(take, (error: Error) => console.error(error));
    else take(answer);
  }

  #put(state: PageState, change: Change): void {
    this.#state = state;
    for (const listener of this.#listeners) listener(state, change);
  }
}

/** A place and the answer to it. */
export interface PlaceAnswer {
  place: Place;
  answer: Answer;
}

/**
 * Asks for a place on a panel's page. A page beyond the last is the last: a shared link may be older than
 * the catalogue. An engine that answers at once is answered for at once.
 */
export function answerAt(engine: { ask(question: Question): Answer }, panel: PanelDocument, band: Band, place: Place): PlaceAnswer;
export function answerAt(engine: Engine, panel: PanelDocument, band: Band, place: Place): PlaceAnswer | Promise<PlaceAnswer>;
export function answerAt(engine: Engine, panel: PanelDocument, band: Band, { selection, sort, page }: Place): PlaceAnswer | Promise<PlaceAnswer> {
  const place = { selection, sort, page };
  const take = (answer: Answer): PlaceAnswer | Promise<PlaceAnswer> => {
    const last = Math.max(1, Math.ceil(answer.total / pageSize));
    return page > last ? answerAt(engine, panel, band, { ...place, page: last }) : { place, answer };
  };
  const answer = engine.ask(questionOf(panel, band, place));
  return answer instanceof Promise ? answer.then(take) : take(answer);
}

/** The first state of a page. */
export function firstState(
  { shop, fields, panel, swatches, language }: Pick<Boot, "shop" | "fields" | "panel" | "swatches" | "language">,
  band: Band,
  { place, answer }: PlaceAnswer,
): PageState {
  return {
    ...place,
    shop,
    panel,
    band,
    fields: new Map(fields.map((field) => [field.key, field])),
    swatches,
    answer,
    drawerOpen: false,
    marked: undefined,
    language,
  };
}
