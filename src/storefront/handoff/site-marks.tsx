import { render } from "preact";
import { Pages } from "../listing/pages.tsx";
import { sortChoices } from "../listing/sort-box.tsx";
import type { PageState } from "../page/page-state.ts";
import { Chosen } from "../panel/pieces.tsx";
import { HandoffFault } from "./faults.ts";
import { listMark, longList, markIn, marksIn, type SitePlace } from "./marks.ts";
import type { OpenGroup } from "./open-group.ts";
import { type Arranged, SiteList } from "./site-list.ts";

/** Number of products by which a long list grows. */
const reachStep = 150;

/** The marked elements of a site: counts, sort order, further products, and its own list. */
export class SiteMarks {
  /** The group as it was last shown: listeners act on it, since a group opens anew when a listing joins. */
  #open: OpenGroup | undefined;
  #list: SiteList | undefined;
  #arranged: Arranged | undefined;
  #told = "";
  #heard = new WeakSet<Element>();
  #near: IntersectionObserver | undefined;
  /** Number of products that a long list shows now, in which state, and what follows its end. */
  #reach = reachStep;
  #of: Pick<PageState, "selection" | "sort"> | undefined;
  #end: IntersectionObserver | undefined;

  /** The state of the site's own list; undefined if it has none. */
  get arranged(): Arranged | undefined {
    return this.#arranged;
  }

  /** Updates all marked elements with the group's state, including elements added meanwhile. */
  show(open: OpenGroup): void {
    this.#open = open;
    const { group, store, engine } = open;
    const { state } = store;
    const { answer, say, layout } = state;
    this.#arrange(open);
    const of = (place: SitePlace) => marksIn(group.name, place);
    const shown = layout.more === "pages" ? answer.total : (this.#arranged?.shown ?? answer.products).length;
    const left = answer.total - shown;
    for (const element of of("count")) setText(element, say("found", { n: answer.total }));
    for (const element of of("nothing")) element.hidden = answer.total > 0;
    // The drawn content stays until products can be counted.
    for (const element of engine.here ? of("more") : []) {
      this.#hear(element, "click", (event) => {
        event.preventDefault();
        this.#turn();
      });
      element.hidden = left <= 0;
      if (layout.more === "scroll") this.#follow(element);
      if (left > 0) setText(element, say("showMore", { n: Math.min(left, layout.size) }));
    }
    for (const element of of("sort")) if (element instanceof HTMLSelectElement) this.#sort(element, open);
    for (const element of of("chosen"))
      render(
        <div class="zt-root">
          <Chosen state={state} perform={(act) => store.perform(act)} label="" />
        </div>,
        element,
      );
    for (const element of of("pages")) render(<Pages state={state} perform={(act) => store.perform(act)} />, element);
  }

  leave(): void {
    this.#open = undefined;
    this.#near?.disconnect();
    this.#followEnd(undefined);
    this.#leaveList();
  }

  #leaveList(): void {
    this.#list?.leave();
    this.#list = undefined;
  }

  #turn(): void {
    const store = this.#open?.store;
    store?.perform({ do: "turn", page: store.state.page + 1 });
  }

  /** Turns by itself when the button for more comes near. */
  #follow(element: Element): void {
    this.#near ??= new IntersectionObserver(
      (entries) => {
        const isNear = entries.some(({ isIntersecting }) => isIntersecting);
        if (isNear && this.#open?.store.state.answered) this.#turn();
      },
      { rootMargin: "0px 0px 600px" },
    );
    // Observed anew, it reports its position again: new products may not have moved it out of the way.
    this.#near.unobserve(element);
    this.#near.observe(element);
  }

  #sort(select: HTMLSelectElement, { store }: OpenGroup): void {
    if (select.options.length === 0)
      select.append(...sortChoices(store.state).map(({ sort, label }) => new Option(label, sort)));
    select.value = store.state.sort;
    this.#hear(select, "change", () => this.#open?.store.perform({ do: "sort", sort: select.value }));
  }

  #hear(element: Element, event: string, hear: (event: Event) => void): void {
    if (this.#heard.has(element)) return;
    this.#heard.add(element);
    element.addEventListener(event, hear);
  }

  #arrange(open: OpenGroup): void {
    const { group, store, engine } = open;
    const [marked, another] = marksIn(group.name, "list");
    if (marked !== this.#list?.element) {
      this.#leaveList();
      this.#list = marked && new SiteList(marked, () => this.#open && this.show(this.#open));
      if (another)
        group.fault(
          new HandoffFault(
            "list",
            `The page marks two lists with ${listMark}="${group.name}"; only the first is followed.`,
          ),
        );
    }
    const counting = engine.here;
    if (!this.#list || !counting) {
      this.#arranged = undefined;
      return;
    }
    const { sort, page, layout } = store.state;
    const { size, more } = layout;
    const paged = markIn(group.name, "more") !== undefined || more === "pages";
    if (store.state.selection !== this.#of?.selection || sort !== this.#of.sort) this.#reach = reachStep;
    this.#of = store.state;
    // A list without an element for further products shows all of them; a long one shows them while scrolling.
    const isLong = (this.#arranged?.length ?? this.#list.length) > longList;
    this.#arranged = this.#list.arrange({
      found: group.found(),
      sorted: sort !== "",
      part: paged ? [more === "pages" ? (page - 1) * size : 0, page * size] : isLong ? [0, this.#reach] : undefined,
      isKnown: (id) => counting.hasProduct(id),
    });
    this.#followEnd(isLong && !paged ? this.#list.lastShown : undefined);
    this.#tellTrouble(this.#arranged, open);
  }

  /** Shows more of a long list when the end of what is shown comes near. */
  #followEnd(last: Element | undefined): void {
    this.#end?.disconnect();
    this.#end = undefined;
    if (!last) return;
    this.#end = new IntersectionObserver(
      (entries) => {
        if (!entries.some(({ isIntersecting }) => isIntersecting) || !this.#open) return;
        this.#reach += reachStep;
        this.#arrange(this.#open);
      },
      { rootMargin: "0px 0px 1200px" },
    );
    this.#end.observe(last);
  }

  /** Reports once which products of the list the catalogue does not contain, or that occur twice. */
  #tellTrouble({ unknown, twice, contested }: Arranged, { group }: OpenGroup): void {
    const said = [
      ...(unknown.length > 0
        ? [
            `The catalogue doesn’t contain ${unknown.length} of the list’s products (${some(unknown)}); they stay visible.`,
          ]
        : []),
      ...(contested === "order"
        ? ["The page puts its list back into its own order each time, so products are filtered and not sorted."]
        : []),
      ...(contested === "all"
        ? [
            "The page undoes every change to its list, so the list stays as the page has it. Stop the page’s own script from changing it.",
          ]
        : []),
      ...(twice.length > 0 ? [`The list has ${some(twice)} more than once; all of them are shown.`] : []),
    ].join(" ");
    if (said !== "" && said !== this.#told) group.fault(new HandoffFault("products", said));
    this.#told = said;
  }
}

const some = (ids: readonly string[]): string => ids.slice(0, 3).join(", ") + (ids.length > 3 ? ", …" : "");

/** Writes a text only if it differs, so that screen readers don't announce it twice. */
function setText(element: HTMLElement, text: string): void {
  if (element.textContent !== text) element.textContent = text;
}
