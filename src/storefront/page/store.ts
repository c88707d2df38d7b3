import type { Answer } from "../../core/engine/answer.ts";
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

export type Listener = (state: PageState, change: Change) => void;
/** Why the state changed: `place` is a shopper's step that belongs in the address bar, `stage` one that came from another page. */
export type Change = "place" | "panel" | "view" | "stage";

/** After a question that was not answered, it is asked again: first after so many ms, each time twice as long, at most so long. */
const firstPause = 1000;
const longestPause = 30_000;

/** An answer that takes longer than so many ms is said to be under way. */
const patience = 150;

/** Holds the state of one shop page and tells listeners when it changes. */
export class PageStore {
  #state: PageState;
  /** The latest question: an answer may still be under way, and the next step continues from here. */
  #wanted: PageState;
  #engine: Engine;
  #listeners = new Set<Listener>();
  #asked = 0;
  #answered = 0;
  /** By panel, what is chosen in it and waits; an answer to it may be under way. */
  #wanting: Record<string, Selection> = {};

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
    return this.#answered === this.#asked;
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
    const { slug } = one;
    this.#wanting = { ...this.#wanting, [slug]: selection };
    const take = (answer: Answer, counted = true) => {
      if (this.#wanting[slug] !== selection) return;
      this.#put({ ...this.#state, drafts: { ...this.#state.drafts, [slug]: { selection, answer, counted } } }, "view");
    };
    const answer = this.#engine.ask(questionIn(this.#wanted, one, selection));
    if (!(answer instanceof Promise)) {
      take(answer);
      return;
    }
    // A choice shows at once; its count follows.
    take(this.#state.drafts[slug]?.answer ?? this.#state.elsewhere[slug] ?? this.#state.answer, false);
    answer.then(
      (found) => take(found),
      (error) => console.error(error),
    );
  }

  /** How a panel takes the shopper to another page: as soon as something is chosen, or with its button; undefined where it does not. */
  leads(slug: string): Behaviour["apply"] | undefined {
    const one = this.#wanted.panels.find((panel) => panel.slug === slug);
    return one?.target && appliesBy(one, behaviourOn(one.panel, this.#wanted.band));
  }

  /** The selection of a panel, whether it waits or not. */
  drafted(slug: string): Selection {
    return this.#wanting[slug] ?? this.#wanted.selection;
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
    delete this.#wanting[slug];
    if (_gone) this.#put({ ...this.#state, drafts }, "view");
  }

  /** Shows another place; `change` is "view" when the place came from the address bar itself. */
  go({ selection, sort, page }: BrowseState, change: Change = "place"): void {
    this.#ask({ ...this.#wanted, selection, sort, page }, change, true);
  }

  /** Shows what was chosen on another page. */
  setSelection(selection: Selection): void {
    this.go({ selection, sort: this.#wanted.sort, page: 1 }, "stage");
  }

  /** Puts a changed panel in the place of the one that it was; the selection stays as far as it still has a meaning. */
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

  /** @param goes to another place: that shows at once, and takes the place of what waits in panels */
  #ask(next: PageState, change: Change, goes = false, pause = firstPause): void {
    const turn = ++this.#asked;
    this.#wanted = next;
    if (goes) {
      this.#wanting = {};
      this.#state = { ...this.#state, drafts: {} };
    }
    const take = ({ place, answer, elsewhere }: PlaceAnswer, told: Change) => {
      if (turn !== this.#asked) return;
      this.#answered = turn;
      const { marked, drawer, band } = this.#state;
      // Parts that do not wait for an answer may have changed meanwhile.
      const { language, say, limits, shop } = this.#wanted;
      this.#wanted = {
        ...next,
        ...place,
        answer,
        elsewhere,
        language,
        say,
        limits,
        shop,
        marked,
        drawer: next.band === band ? drawer : undefined,
        trouble: false,
        answered: true,
        busy: false,
        drafts: this.#state.drafts,
      };
      this.#put(this.#wanted, told);
      // Waiting choices stay, as far as they have a meaning, and are counted again.
      for (const one of this.#wanted.panels) {
        const waiting = this.#wanting[one.slug];
        if (waiting) this.#draft(one, fitSelection(waiting, this.#wanted.asked));
      }
    };
    // A step is told once, when it is asked for.
    const later = change === "place" ? "view" : change;
    const fail = (error: Error) => {
      if (turn !== this.#asked) return;
      console.error(error);
      // The last result stays, and the shopper is told where the products are.
      this.#put({ ...this.#state, trouble: true }, "view");
      setTimeout(
        () => turn === this.#asked && this.#ask(this.#wanted, later, false, Math.min(2 * pause, longestPause)),
        pause,
      );
    };
    const answer = answerAt(this.#engine, next, next);
    if (!(answer instanceof Promise)) {
      take(answer, change);
      return;
    }
    // A choice shows at once, as a step of its own: the next may come before its result.
    const { selection, sort, page } = next;
    if (goes) this.#put({ ...this.#state, selection, sort, page, answered: false }, change);
    // A quick answer shows nothing else in between.
    const slow = setTimeout(() => turn === this.#asked && this.#put({ ...this.#state, busy: true }, "view"), patience);
    answer.then((found) => take(found, later), fail).finally(() => clearTimeout(slow));
  }

  #put(state: PageState, change: Change): void {
    this.#state = state;
    for (const listener of this.#listeners) listener(state, change);
  }
}
