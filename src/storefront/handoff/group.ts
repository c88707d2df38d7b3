import { bandAt } from "../../core/band/band.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { LocalEngine } from "../../core/match/local-engine.ts";
import { isSameSelection } from "../../core/match/selection.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import { fromAddress } from "../../core/place/address.ts";
import { type Place, startPlace } from "../../core/place/place.ts";
import { withTouched } from "../page/early-choices.ts";
import { facetsOf, type PagePanel } from "../page/page-panel.ts";
import { answerAt, firstState, type PageState, questionOf } from "../page/page-state.ts";
import { PageStore } from "../page/store.ts";
import { queryTo } from "../panel/panel-state.ts";
import { putWords } from "../words/spoken.ts";
import { type Told, tell } from "./events.ts";
import { HandoffFault } from "./faults.ts";
import { HandoffFiles } from "./files.ts";
import { markIn, SiteMarks } from "./site-marks.tsx";
import type { Island, ShopFile } from "./wire.ts";

/** An element of the page that belongs to a group. */
export interface Member {
  readonly element: HTMLElement;
  /** What its markup says about itself; undefined where that is missing or damaged. */
  readonly island: Island | undefined;
  /** The panel that it is, as the page has it. */
  readonly panel: PagePanel | undefined;
  /** It shows cards, which want more of the catalogue. */
  readonly cards: boolean;
  /** Takes over what was drawn. */
  wake(open: OpenGroup): void;
  /** Shows a new state. */
  show(open: OpenGroup): void;
}

/** A group that answers. */
export interface OpenGroup {
  group: Group;
  shop: ShopFile;
  store: PageStore;
  engine: LocalEngine;
  /** The catalogue has what cards show. */
  cards: boolean;
  /** What markup that can be taken over was drawn from. */
  drawn: string;
}

/** What becomes of the address of the page with each choice. */
export type History = "push" | "replace" | "none";

const groups = new Map<string, Group>();

/** All panels and listings of a page that share one selection. They wake together, and stay a plain form until then. */
export class Group {
  readonly name: string;
  #members = new Set<Member>();
  #open: OpenGroup | undefined;
  #opening = false;
  #ends = new AbortController();
  #marks: SiteMarks | undefined;

  private constructor(name: string) {
    this.name = name;
  }

  /** The group of a name, empty for the usual one. */
  static named(name: string): Group {
    const group = groups.get(name) ?? new Group(name);
    groups.set(name, group);
    return group;
  }

  get open(): OpenGroup | undefined {
    return this.#open;
  }

  /** Takes a member in; the group wakes once the whole page is there. */
  join(member: Member): void {
    this.#members.add(member);
    if (this.#open && (!member.cards || this.#open.cards)) this.#widen(this.#open, member);
    else this.#wake();
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

  /** Tells every member's page; what stands around them hears it once. */
  tell<N extends keyof Told>(name: N, detail: Omit<Told[N], "group">): void {
    [...this.#members].forEach(({ element }, at) => {
      tell(element, name, { group: this.name, ...detail } as Told[N], at === 0);
    });
  }

  /** Tells what is wrong, to the site and to who looks into the console. */
  fault(error: unknown): void {
    const { of, file, message } =
      error instanceof HandoffFault ? error : new HandoffFault("page", (error as Error).message);
    console.error(`trellis: ${message}`);
    this.tell("trouble", { of, file, message });
  }

  /** The ids of all products that are found, in their order. */
  found(): string[] {
    return this.#open ? this.#open.engine.found(questionOf(this.#open.store.state, this.#open.store.state)) : [];
  }

  #wake(): void {
    if (this.#opening) return;
    this.#opening = true;
    const open = () =>
      this.#openNow()
        .catch((error: unknown) => this.fault(error))
        .finally(() => {
          this.#opening = false;
        });
    // All that stands on the page joins first.
    if (document.readyState === "loading") document.addEventListener("DOMContentLoaded", open, { once: true });
    else queueMicrotask(open);
  }

  async #openNow(): Promise<void> {
    const islands = [...this.#members].flatMap(({ island }) => island ?? []);
    const [island] = islands;
    if (!island)
      throw new HandoffFault("markup", "No panel or listing says which page it is for. Put its markup in whole.");
    if (islands.some(({ page }) => page.address !== island.page.address))
      throw new HandoffFault(
        "markup",
        `Panels and listings of one group are for different pages: ${[...new Set(islands.map(({ page }) => page.address))].join(", ")}. Give those of another page another group.`,
      );
    const files = HandoffFiles.at(island.at);
    const cards = [...this.#members].some((one) => one.cards);
    const [shop, catalogue] = await Promise.all([files.shop(), files.catalogue(cards)]);
    const drawn = await files.drawn();
    if (shop.words) putWords(shop.language, shop.words);
    const engine = new LocalEngine(new CatalogueIndex(catalogue));
    const fields = new Map(catalogue.fields.map((field) => [field.key, field]));
    const fieldOf = (key: string) => fields.get(key);
    const panels = this.#panels();
    const band = bandAt(innerWidth, shop.limits);
    const facets = facetsOf(panels, band);
    const before = this.#open?.store.state;
    // Markup was drawn with nothing chosen, and is taken over as it is; what the address says follows at once.
    const drawnAt: Place = before ?? startPlace;
    const around = {
      slug: "",
      name: shop.name,
      currency: shop.currency,
      bars: shop.bars,
      menu: [],
      search: shop.search,
      suggest: "",
    };
    const shown = pagedAs(island.page, this.name);
    const asking = { shown, panels, band, fields, shop: around };
    const born = {
      shop: around,
      base: "",
      page: shown,
      panels,
      fields: catalogue.fields,
      limits: shop.limits,
      swatches: shop.swatches,
      language: shop.language,
      names: shop.names,
    };
    const store = new PageStore(
      firstState(born, band, await answerAt(engine, asking, drawnAt), location.search),
      engine,
    );
    const place: Place =
      before ?? (this.#history() === "none" ? startPlace : fromAddress(location.search, facets, fieldOf, shop.names));
    // What was chosen while the page was still asleep counts too.
    const selection = [...this.#members]
      .flatMap(({ element }) => [...element.querySelectorAll<HTMLFormElement>("form.zt-panel")])
      .reduce((now, form) => withTouched(now, form, facets, fieldOf, shop.names), place.selection);
    const open = { group: this, shop, store, engine, cards, drawn };
    this.#marks ??= new SiteMarks();
    this.#open = open;
    for (const member of this.#members) member.wake(open);
    this.#marks.show(open);
    this.#follow(open);
    this.tell("ready", {});
    if (!isSameSelection(selection, place.selection)) store.go({ ...place, selection, page: 1 });
    else if (place === startPlace || before) this.#tellResults(open);
    else store.go(place, "view");
  }

  /** Follows the page's address and width, and tells what changes. */
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
      for (const member of this.#members) member.show(open);
      this.#marks?.show(open);
      if (change === "place") this.#write(state, was);
      if (!isSameSelection(was.selection, state.selection)) this.tell("change", { selection: state.selection });
      if (was.answer !== state.answer) this.#tellResults(open);
      if (state.trouble && !was.trouble) this.fault(new HandoffFault("catalogue", "A choice could not be counted."));
    });
  }

  #tellResults({ store: { state } }: OpenGroup): void {
    const { answer, selection } = state;
    const { shown, missing } = this.#marks?.arranged ?? { shown: answer.products.map(({ id }) => id), missing: 0 };
    this.tell("results", { selection, total: answer.total, outOf: answer.outOf, shown, missing });
  }

  #history(): History {
    const said = [...this.#members].map(({ element }) => element.getAttribute("history")).find((one) => one !== null);
    return said === "push" || said === "replace" || said === "none" ? said : this.name === "" ? "push" : "none";
  }

  #write(state: PageState, was: PageState): void {
    const way = this.#history();
    if (way === "none") return;
    // More of the same is no step of its own: going back leads to where the shopper was before the page.
    const more = state.page === was.page + 1;
    const address = location.pathname + queryTo({ ...state, query: location.search }, state) + location.hash;
    history[way === "replace" || more ? "replaceState" : "pushState"](history.state, "", address);
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

/** A page with the way to its further products that the site has marked a place for; without one all that was shown stays. */
const pagedAs = (page: ShownPage, group: string): ShownPage => ({
  ...page,
  layout: { ...page.layout, more: markIn(group, "pages") ? "pages" : "button" },
});
