import { isSameSelection } from "../../core/engine/selection.ts";
import { fromAddress } from "../../core/page/browse-state/address.ts";
import { type BrowseState, isSamePlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import { bandAt } from "../../core/settings/band.ts";
import { DeferredEngine } from "../engine/deferred-engine.ts";
import { withTouched } from "../page/early-choices.ts";
import { facetsOf, type PagePanel } from "../page/page-panel.ts";
import { answerAt, firstState, type PageState, questionOf } from "../page/page-state.ts";
import { Steps } from "../page/steps.ts";
import { PageStore } from "../page/store.ts";
import { queryTo } from "../panel/panel-state.ts";
import { putWords } from "../words/spoken.ts";
import { endAwaiting } from "./awaiting.ts";
import { type EventDetails, tell } from "./events.ts";
import { troubleOf } from "./faults.ts";
import { HandoffFiles } from "./files.ts";
import { drawnAnswers, initialState, islandFor } from "./hydration.ts";
import type { OpenGroup } from "./open-group.ts";
import { showResults } from "./results.ts";
import { SiteMarks } from "./site-marks.tsx";
import type { Island } from "./wire.ts";

/** An element that belongs to a group. */
export interface Member {
  readonly element: HTMLElement;
  /** The data in its markup; undefined if missing or damaged. */
  readonly island: Island | undefined;
  /** Its panel on the page. */
  readonly panel: PagePanel | undefined;
  /** It shows cards, which need more of the catalogue. */
  readonly cards: boolean;
  /** Takes over what was drawn. */
  wake(open: OpenGroup): void;
  /** Shows a new state. */
  show(open: OpenGroup): void;
}

/** The effect of a choice on the page's address. */
export type HistoryEffect = "push" | "replace" | "none";

/** Whether the page is to check itself. */
const isChecked = (): boolean => location.hash === "#trellis-check";

const groups = new Map<string, Group>();

/** All panels and listings of a page that share one selection. They start together, and are a plain form until then. */
export class Group {
  readonly name: string;
  #members = new Set<Member>();
  #open: OpenGroup | undefined;
  #opening = false;
  /** It has shown a result, or said why it can't. */
  #settled = false;
  #ends = new AbortController();
  #marks: SiteMarks | undefined;
  #steps = new Steps(() => this.#open?.store.state.layout.more === "pages");

  private constructor(name: string) {
    this.name = name;
  }

  /** The group with a name; the default one has an empty name. */
  static named(name: string): Group {
    const group = groups.get(name) ?? new Group(name);
    groups.set(name, group);
    return group;
  }

  get open(): OpenGroup | undefined {
    return this.#open;
  }

  /** Adds a member; the group starts when the whole page has loaded. */
  join(member: Member): void {
    this.#members.add(member);
    const open = this.#open;
    if (!open || (member.cards && !open.cards)) this.#wake();
    else if (open.engine.here) this.#widen(open, member);
    else
      open.engine.arrival.then(() => {
        if (this.#open === open && this.#members.has(member)) this.#widen(open, member);
      });
  }

  leave(member: Member): void {
    this.#members.delete(member);
    if (this.#members.size > 0) {
      if (this.#open && member.panel) this.#fit(this.#open.store);
      return;
    }
    this.#ends.abort();
    this.#marks?.leave();
    groups.delete(this.name);
  }

  /** Dispatches an event on every member; it bubbles once. */
  tell<N extends keyof EventDetails>(name: N, detail: Omit<EventDetails[N], "group">): void {
    [...this.#members].forEach(({ element }, at) => {
      tell(element, name, { group: this.name, ...detail } as EventDetails[N], at === 0);
    });
  }

  /** Reports an error to the site and in the console. */
  fault(error: unknown): void {
    this.#settle();
    const trouble = troubleOf(error);
    console.error(`trellis: ${trouble.message}`);
    this.tell("trouble", trouble);
  }

  /** The ids of all products found, in order. */
  found(): string[] {
    if (!this.#open) return [];
    const { engine, store } = this.#open;
    return engine.here?.found(questionOf(store.state, store.state)) ?? [];
  }

  #wake(): void {
    if (this.#opening) return;
    this.#opening = true;
    const open = () =>
      this.#openNow()
        .catch((error: unknown) => this.fault(error))
        .finally(() => {
          this.#opening = false;
          // A listing may have joined meanwhile.
          if (this.#open && !this.#open.cards && [...this.#members].some(({ cards }) => cards)) this.#wake();
        });
    // Waits until all elements of the page have joined.
    if (document.readyState === "loading") document.addEventListener("DOMContentLoaded", open, { once: true });
    else queueMicrotask(open);
  }

  async #openNow(): Promise<void> {
    const islands = [...this.#members].flatMap(({ island }) => island ?? []);
    const island = islandFor(islands);
    const files = HandoffFiles.at(island.at);
    const cards = [...this.#members].some((one) => one.cards);
    files.prepare(cards);
    const [shop, drawn] = await Promise.all([files.shop(), files.drawn()]);
    if (shop.words) putWords(shop.language, shop.words);
    for (const [language, words] of Object.entries(shop.spoken ?? {})) putWords(language, words);
    const born = initialState(shop, island, this.name, this.#panels());
    const { panels, page: shown } = born;
    const fields = new Map(shop.fields.map((field) => [field.key, field]));
    const fieldOf = (key: string) => fields.get(key);
    const band = bandAt(innerWidth, shop.limits);
    const facets = facetsOf(panels, band);
    const asking = { shown, panels, band, fields, shop: born.shop };
    const engine = new DeferredEngine(() => files.engine(cards, questionOf(asking, startPlace)));
    // Markup without a selection is hydrated as it is; the selection in the address is applied right after.
    const answers = this.#open ? undefined : drawnAnswers(islands, drawn, band);
    if (!answers) await engine.fetch();
    const before = this.#open?.store.state;
    const found = answers ? { place: startPlace, ...answers } : await answerAt(engine, asking, before ?? startPlace);
    const store = new PageStore(firstState(born, band, found, location.search), engine);
    const place: BrowseState =
      before ?? (this.#history() === "none" ? startPlace : fromAddress(location.search, facets, fieldOf, shop.names));
    // Includes choices made before the page was ready.
    const selection = [...this.#members]
      .flatMap(({ element }) => [...element.querySelectorAll<HTMLFormElement>("form.zt-panel")])
      .reduce((now, form) => withTouched(now, form, facets, fieldOf, shop.names), place.selection);
    const open = { group: this, shop, store, engine, cards, drawn };
    this.#marks ??= new SiteMarks();
    this.#open = open;
    for (const member of this.#members) member.wake(open);
    this.#marks.show(open);
    this.#follow(open);
    if (engine.here) this.#ready(files);
    else
      engine.arrival.then(() => {
        if (this.#open !== open) return;
        this.#ready(files);
        store.refresh();
      });
    if (!isSameSelection(selection, place.selection)) store.go({ ...place, selection, page: 1 });
    else if (!isSamePlace(place, store.state)) store.go(place, "view");
    else if (engine.here) this.#tellResults(open);
    // Panels respond without it; the next choice tries to load it again.
    engine.fetch().catch((error: unknown) => this.fault(error));
  }

  /** Tells that products can be counted, and brings what tells visits or checks the page where that is wanted. */
  #ready(files: HandoffFiles): void {
    this.tell("ready", {});
    const wanted = {
      visits: [...this.#members].some(({ element }) => element.hasAttribute("visits")),
      check: isChecked(),
    };
    for (const role of ["visits", "check"] as const)
      if (wanted[role]) files.run(role).catch((error: unknown) => this.fault(error));
  }

  /** Follows the page's address and width, and dispatches events for changes. */
  #follow(open: OpenGroup): void {
    this.#ends.abort();
    this.#ends = new AbortController();
    const { signal } = this.#ends;
    const { store, shop } = open;
    addEventListener("resize", () => store.setWidth(innerWidth), { signal });
    addEventListener(
      "popstate",
      () => {
        if (this.#history() === "none") return;
        const { asked, fields } = store.state;
        this.#steps.rest();
        store.go(
          fromAddress(location.search, asked, (key) => fields.get(key), shop.names),
          "view",
        );
      },
      { signal },
    );
    let before = store.state;
    store.subscribe((state, change) => {
      const was = before;
      before = state;
      if (this.#open !== open) return;
      for (const member of this.#members) {
        member.show(open);
        if (state.answered !== was.answered) member.element.setAttribute("aria-busy", String(!state.answered));
      }
      this.#marks?.show(open);
      if (change === "place") this.#write(state, was);
      if (!isSameSelection(was.selection, state.selection)) this.tell("change", { selection: state.selection });
      if (was.answer !== state.answer) this.#tellResults(open);
      if (was.page !== state.page && state.layout.more === "pages" && change === "place") showResults(open);
    });
  }

  /** Shows the page's lists once each of its groups has something to show. */
  #settle(): void {
    this.#settled = true;
    if ([...groups.values()].every((one) => one.#settled)) endAwaiting();
  }

  #tellResults({ store: { state } }: OpenGroup): void {
    this.#settle();
    const { answer, selection, sort, page } = state;
    const { shown, missing } = this.#marks?.arranged ?? { shown: answer.products.map(({ id }) => id), missing: 0 };
    this.tell("results", { selection, total: answer.total, outOf: answer.outOf, shown, sort, page, missing });
  }

  #history(): HistoryEffect {
    const said = [...this.#members].map(({ element }) => element.getAttribute("history")).find((one) => one !== null);
    return said === "push" || said === "replace" || said === "none" ? said : this.name === "" ? "push" : "none";
  }

  #write(state: PageState, was: PageState): void {
    const way = this.#history();
    if (way === "none") return;
    const goesOn = this.#steps.goesOn(was, state, performance.now());
    const address = location.pathname + queryTo({ ...state, query: location.search }, state) + location.hash;
    history[way === "replace" || goesOn ? "replaceState" : "pushState"](history.state, "", address);
  }

  #panels(): PagePanel[] {
    return [...this.#members].flatMap(({ panel }) => panel ?? []);
  }

  #widen(open: OpenGroup, member: Member): void {
    this.#fit(open.store);
    member.wake(open);
  }

  #fit(store: PageStore): void {
    store.setPage(store.state.shown, this.#panels(), store.state.shop);
  }
}
