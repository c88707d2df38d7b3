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
/** Why the state changed: `place` is a shopper's step that belongs in the address bar, `stage` one that came from another page. */
export type StoreChange = "place" | "panel" | "view" | "stage";

/** Holds the state of one shop page and tells listeners when it changes. */
export class PageStore {
  #state: PageState;
  /** The latest question: an answer may still be under way, and the next step continues from here. */
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

  /** The shown results belong to the latest question. */
  get settled(): boolean {
    return this.#question.phase === "answered";
  }

  /** @returns what ends it */
  subscribe(listener: Listener): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** Does what a shopper has asked for, going on from what was asked for last. */
  perform(act: Act): void {
    this.go(nextPlace(this.#wanted, act));
  }

  /**
   * Does in a panel what a shopper has asked for: on the page, or as a draft that waits for the panel's button or is
   * taken to another page.
   * @param slug the panel's place in addresses
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

  /** How many products an act in a panel would lead to; nothing changes. */
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

  /**
   * How a panel takes the shopper to another page: as soon as something is chosen, or with its button; undefined if it
   * does not.
   */
  leads(slug: string): Behaviour["apply"] | undefined {
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    return one?.target && appliesBy(one, behaviourOn(one.panel, this.#wanted.band));
  }

  /** The selection of a panel, whether it waits or not. */
  drafted(slug: string): Selection {
    return this.#drafts.of(slug) ?? this.#wanted.selection;
  }

  /**
   * Presses the button of a panel: what waits becomes what is chosen.
   * @returns the query that leads to the panel's other page, where it has one
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

  /** Forgets what waits in a panel. */
  discard(slug: string): void {
    const { [slug]: _gone, ...drafts } = this.#state.drafts;
    this.#drafts.drop(slug);
    if (_gone) this.#put({ ...this.#state, drafts }, "view");
  }

  /** Shows another place; `change` is "view" when the place came from the address bar itself. */
  go({ selection, sort, page }: BrowseState, change: StoreChange = "place"): void {
    this.#ask({ ...this.#wanted, selection, sort, page }, change, true);
  }

  /** Shows what was chosen on another page. */
  setSelection(selection: Selection): void {
    this.go({ selection, sort: this.#wanted.sort, page: 1 }, "stage");
  }

  /** Puts a changed panel in place of the one that it was; the selection stays as far as it still has a meaning. */
  setPanel(slug: string, panel: PanelDocument): void {
    const panels = this.#wanted.panels.map((one) => (one.slug === slug ? { ...one, panel } : one));
    this.#refit(this.#wanted.shown, panels);
  }

  /** Shows another page, or the same one laid out otherwise. What is chosen stays as far as it has a meaning there. */
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

  /** Asks again for what is shown, where more is known now than before; nothing that was chosen changes. */
  refresh(): void {
    this.#ask(this.#wanted, "view");
  }

  /** Tells the page its width in CSS px, and from which widths bands hold when that has changed. */
  setWidth(width: number, limits: BandLimits = this.#wanted.limits): void {
    const band = bandAt(width, limits);
    if (band !== this.#wanted.band) this.#ask({ ...this.#onBand(this.#wanted, band), limits }, "view");
    else if (limits !== this.#wanted.limits) {
      this.#wanted = { ...this.#wanted, limits };
      this.#put({ ...this.#state, limits }, "view");
    }
  }

  /** Shows the page in another of the shop's languages. */
  setLanguage(language: string): void {
    if (language === this.#wanted.language) return;
    const spoken = { language, say: sayOf(language) };
    this.#wanted = { ...this.#wanted, ...spoken };
    this.#put({ ...this.#state, ...spoken }, "view");
  }

  /** Opens the drawer of a panel; undefined closes it. */
  openDrawer(drawer: string | undefined): void {
    if (drawer !== this.#state.drawer) this.#put({ ...this.#state, drawer }, "view");
  }

  /** Marks the row that the designer points at. */
  mark(marked: Marked | undefined): void {
    if (marked !== this.#state.marked) this.#put({ ...this.#state, marked }, "view");
  }

  // Counts can differ by band, as ranges of a price do.
  #onBand(state: PageState, band: Band): PageState {
    return { ...state, ...onPage(state.shown, state.panels, band), band, drawer: undefined };
  }

  /**
   * Asks for what is shown next.
   * @param goes to another place: that shows at once, and replaces what waits in panels
   * @param isAgain the last question failed, and is asked once more
   */
  #ask(next: PageState, change: StoreChange, goes = false, isAgain = false): void {
    this.#wanted = next;
    if (goes) {
      this.#drafts.drop();
      this.#state = { ...this.#state, drafts: {} };
    }
    // A step is told once, when it is asked for.
    const later = change === "place" ? "view" : change;
    this.#question.ask<PlaceAnswer>(
      answerAt(this.#engine, next, next),
      {
        answered: (found, isAtOnce) => this.#take(next, found, isAtOnce ? change : later),
        // A choice shows at once, as a step of its own: the next may come before its result.
        waits: () => {
          const { selection, sort, page } = next;
          if (goes) this.#put({ ...this.#state, selection, sort, page, answered: false }, change);
        },
        slow: () => this.#put({ ...this.#state, busy: true }, "view"),
        // The last result stays, and the shopper is told where the products are.
        failed: () => this.#put({ ...this.#state, trouble: true }, "view"),
        again: () => this.#ask(this.#wanted, later, false, true),
      },
      isAgain,
    );
  }

  /** Shows an answer. Parts of the state that do not wait for one may have changed meanwhile. */
  #take(asked: PageState, { place, answer, elsewhere }: PlaceAnswer, change: StoreChange): void {
    const { marked, drawer, band, drafts } = this.#state;
    const { language, say, limits, shop } = this.#wanted;
    const since = { language, say, limits, shop, marked, drafts, drawer: asked.band === band ? drawer : undefined };
    const settled = { trouble: false, answered: true, busy: false };
    this.#wanted = { ...asked, ...place, answer, elsewhere, ...since, ...settled };
    this.#put(this.#wanted, change);
    // Waiting choices stay, as far as they have a meaning, and are counted again.
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
