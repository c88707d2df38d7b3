import type { Engine } from "../../core/engine/engine.ts";
import type { Selection } from "../../core/engine/question.ts";
import { fitSelection } from "../../core/engine/selection.ts";
import { type Act, type BrowseState, nextPlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { type Band, type BandLimits, bandAt } from "../../core/settings/band.ts";
import type { Behaviour } from "../../core/settings/behaviour.ts";
import { queryTo } from "../panel/panel-state.ts";
import type { ShopAround } from "../shop/boot.ts";
import { sayOf } from "../words/spoken.ts";
import { Drafts } from "./drafts.ts";
import { LatestQuestion } from "./latest-question.ts";
import { appliesBy, behaviourOn, type PagePanel } from "./page-panel.ts";
import {
  answerAt,
  keepsDraft,
  type Marked,
  onPage,
  type PageState,
  type PlaceAnswer,
  questionIn,
} from "./page-state.ts";

export type Listener = (state: PageState, change: StoreChange) => void;
/** Why the state changed: `place` is a shopper's step for the address bar, `stage` one from another page. */
export type StoreChange = "place" | "panel" | "view" | "stage";

/** Holds the state of one shop page and notifies listeners of changes. */
export class PageStore {
  #state: PageState;
  /** The state of the latest question, possibly unanswered, from which the next step continues. */
  #wanted: PageState;
  #engine: Engine;
  #listeners = new Set<Listener>();
  #question = new LatestQuestion();
  #drafts = new Drafts((slug, draft) =>
    this.#put({ ...this.#state, drafts: { ...this.#state.drafts, [slug]: draft } }, "view"),
  );

  constructor(state: PageState, engine: Engine) {
    this.#state = state;
    this.#wanted = state;
    this.#engine = engine;
  }

  get state(): PageState {
    return this.#state;
  }

  /** Whether the shown results belong to the latest question. */
  get settled(): boolean {
    return this.#question.phase === "answered";
  }

  /** @returns what ends it */
  subscribe(listener: Listener): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** Performs a shopper's act, continuing from the latest question. */
  perform(act: Act): void {
    this.go(nextPlace(this.#wanted, act));
  }

  /**
   * Performs a shopper's act in a panel: on the page, or in its waiting selection if the panel has a button or leads
   * to another page.
   * @param slug of the panel
   */
  performIn(slug: string, act: Act): void {
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    if (!one || !keepsDraft(one, behaviourOn(one.panel, this.#wanted.band))) {
      this.perform(act);
      return;
    }
    const place = nextPlace({ ...this.#wanted, selection: this.drafted(slug) }, act);
    this.#draft(one, place.selection);
  }

  /** The number of products after an act in a panel; nothing changes. */
  peek(slug: string, act: Act): number | Promise<number> {
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    if (!one) return this.#state.answer.total;
    const { selection } = nextPlace({ ...this.#wanted, selection: this.drafted(slug) }, act);
    const answer = this.#engine.ask(questionIn(this.#wanted, one, selection));
    return answer instanceof Promise ? answer.then(({ total }) => total) : answer.total;
  }

  #draft(one: PagePanel, selection: Selection): void {
    const { drafts, elsewhere, answer } = this.#state;
    const before = drafts[one.slug]?.answer ?? elsewhere[one.slug] ?? answer;
    this.#drafts.wait(one.slug, selection, this.#engine.ask(questionIn(this.#wanted, one, selection)), before);
  }

  /** When a panel leads to another page: with the first choice, or with its button; undefined if it doesn't. */
  leads(slug: string): Behaviour["apply"] | undefined {
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    return one?.target && appliesBy(one, behaviourOn(one.panel, this.#wanted.band));
  }

  /** The selection of a panel, waiting or not. */
  drafted(slug: string): Selection {
    return this.#drafts.of(slug) ?? this.#wanted.selection;
  }

  /**
   * Presses a panel's button: its waiting selection takes effect.
   * @returns the query for the panel's other page, if it has one
   */
  apply(slug: string): string | undefined {
    const selection = this.drafted(slug);
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    if (one?.target) {
      return one.target.address + queryTo({ ...this.#wanted, query: "" }, { ...startPlace, selection });
    }
    this.go({ selection, sort: this.#wanted.sort, page: 1 });
    return undefined;
  }

  /** Discards a panel's waiting selection. */
  discard(slug: string): void {
    const { [slug]: _gone, ...drafts } = this.#state.drafts;
    this.#drafts.drop(slug);
    if (_gone) this.#put({ ...this.#state, drafts }, "view");
  }

  /** Goes to another place; `change` is "view" if the place came from the address bar. */
  go({ selection, sort, page }: BrowseState, change: StoreChange = "place"): void {
    this.#ask({ ...this.#wanted, selection, sort, page }, change, true);
  }

  /** Applies a selection made on another page. */
  setSelection(selection: Selection): void {
    this.go({ selection, sort: this.#wanted.sort, page: 1 }, "stage");
  }

  /** Replaces a panel with a changed one; the selection stays as far as it remains valid. */
  setPanel(slug: string, panel: PanelDocument): void {
    const panels = this.#wanted.panels.map((one) => (one.slug === slug ? { ...one, panel } : one));
    this.#refit(this.#wanted.shown, panels);
  }

  /** Shows another page or layout. The selection stays as far as it is valid there. */
  setPage(shown: ShownPage, panels: readonly PagePanel[], around: Pick<ShopAround, "bars" | "menu" | "search">): void {
    this.#wanted = { ...this.#wanted, shop: { ...this.#wanted.shop, ...around } };
    this.#refit(shown, panels);
  }

  #refit(shown: ShownPage, panels: readonly PagePanel[]): void {
    const { selection, band, shown: before } = this.#wanted;
    const laid = onPage(shown, panels, band);
    const place = shown.address === before.address ? {} : { page: 1, sort: "" };
    this.#ask({ ...this.#wanted, ...laid, ...place, selection: fitSelection(selection, laid.asked) }, "panel");
  }

  /** Asks again for the present place, when more is known than before; the selection stays. */
  refresh(): void {
    this.#ask(this.#wanted, "view");
  }

  /** Sets the page's width in CSS px, and optionally new band limits. */
  setWidth(width: number, limits: BandLimits = this.#wanted.limits): void {
    const band = bandAt(width, limits);
    if (band !== this.#wanted.band) this.#ask({ ...this.#onBand(this.#wanted, band), limits }, "view");
    else if (limits !== this.#wanted.limits) {
      this.#wanted = { ...this.#wanted, limits };
      this.#put({ ...this.#state, limits }, "view");
    }
  }

  /** Changes the page's language. */
  setLanguage(language: string): void {
    if (language === this.#wanted.language) return;
    const spoken = { language, say: sayOf(language) };
    this.#wanted = { ...this.#wanted, ...spoken };
    this.#put({ ...this.#state, ...spoken }, "view");
  }

  /** Opens a panel's drawer; undefined closes it. */
  openDrawer(drawer: string | undefined): void {
    if (drawer !== this.#state.drawer) this.#put({ ...this.#state, drawer }, "view");
  }

  /** Marks the row that the designer points at. */
  mark(marked: Marked | undefined): void {
    if (marked !== this.#state.marked) this.#put({ ...this.#state, marked }, "view");
  }

  // Counts can differ by band, since price ranges can.
  #onBand(state: PageState, band: Band): PageState {
    return { ...state, ...onPage(state.shown, state.panels, band), band, drawer: undefined };
  }

  /**
   * Asks for the next state.
   * @param goes to another place: that shows at once, and replaces waiting selections
   * @param isAgain retries a failed question
   */
  #ask(next: PageState, change: StoreChange, goes = false, isAgain = false): void {
    this.#wanted = next;
    if (goes) {
      this.#drafts.drop();
      this.#state = { ...this.#state, drafts: {} };
    }
    // A step is notified once, when it is asked for.
    const later = change === "place" ? "view" : change;
    this.#question.ask<PlaceAnswer>(
      answerAt(this.#engine, next, next),
      {
        answered: (found, isAtOnce) => this.#take(next, found, isAtOnce ? change : later),
        // A choice shows at once, as a separate change: the next may come before its result.
        waits: () => {
          const { selection, sort, page } = next;
          if (goes) this.#put({ ...this.#state, selection, sort, page, answered: false }, change);
        },
        slow: () => this.#put({ ...this.#state, busy: true }, "view"),
        // The last results stay, and the problem is shown beside the products.
        failed: () => this.#put({ ...this.#state, trouble: true }, "view"),
        again: () => this.#ask(this.#wanted, later, false, true),
      },
      isAgain,
    );
  }

  /** Shows an answer. Parts of the state that don't depend on it may have changed meanwhile. */
  #take(asked: PageState, { place, answer, elsewhere }: PlaceAnswer, change: StoreChange): void {
    const { marked, drawer, band, drafts } = this.#state;
    const { language, say, limits, shop } = this.#wanted;
    const since = { language, say, limits, shop, marked, drafts, drawer: asked.band === band ? drawer : undefined };
    const settled = { trouble: false, answered: true, busy: false };
    this.#wanted = { ...asked, ...place, answer, elsewhere, ...since, ...settled };
    this.#put(this.#wanted, change);
    // Waiting selections stay, as far as they are valid, and are counted again.
    for (const one of this.#wanted.panels) {
      const waiting = this.#drafts.of(one.slug);
      if (waiting) this.#draft(one, fitSelection(waiting, this.#wanted.asked));
    }
  }

  #put(state: PageState, change: StoreChange): void {
    this.#state = state;
    for (const listener of this.#listeners) listener(state, change);
  }
}
