/** The attributes by which a site marks a list of its own and the products in it. */
export const listMark = "data-trellis-list";
export const productMark = "data-trellis-product";

/** The content of a list after it was arranged. */
export interface Arranged {
  /** Ids of products that are shown, in their order. */
  shown: string[];
  /** Found products that the list does not have. */
  missing: number;
  /** Marked products that the catalogue does not know; they stay. */
  unknown: string[];
  /** Ids that more than one product of the list has. */
  twice: string[];
  /** Whether the site undid each order at once, so that the list is only filtered now, or left alone altogether. */
  contested: Contest;
}

/** How far a site and we disagree about a list: not at all, about its order, or about what is hidden. */
export type Contest = "no" | "order" | "all";

/** This many changes by the site within this many ms, each after one of ours, and it is not worth to go on. */
const rounds = 30;
const within = 2000;

/** The wanted content of a list. */
export interface WantedList {
  /** Ids of all products found, in their order. */
  found: readonly string[];
  /** They stand in the order of the site until the shopper chooses one. */
  sorted: boolean;
  /** The first and the last place, without it, that is shown; all if absent. */
  part: readonly [from: number, to: number] | undefined;
  isKnown(id: string): boolean;
}

/** A list in a site's own markup: what is in it is hidden and ordered in place, and never made or removed. */
export class SiteList {
  readonly element: Element;
  #places = new Map<Element, number>();
  #watch: MutationObserver;
  #contest: Contest = "no";
  /** When the site undid what we had done, lately. */
  #undone: number[] = [];
  /** The items as they stood after the last arrangement. */
  #last: readonly Element[] = [];

  /** @param changed is called when the site changes the list by itself */
  constructor(element: Element, changed: () => void) {
    this.element = element;
    this.#watch = new MutationObserver(() => {
      this.#count();
      changed();
    });
    this.#observe();
  }

  /** A site that answers each arrangement with a change would go on for ever, and the page would hang. */
  #count(): void {
    if (!this.#isUndone()) return;
    const now = performance.now();
    this.#undone = [...this.#undone.filter((at) => now - at < within), now];
    if (this.#undone.length < rounds) return;
    this.#contest = this.#contest === "no" ? "order" : "all";
    this.#undone = [];
  }

  /** Whether the order of the items has changed since we wrote it, or most of them are gone. Added items do not count. */
  #isUndone(): boolean {
    const last = new Set(this.#last);
    const now = this.#items().flatMap(({ item }) => (last.has(item) ? [item] : []));
    if (now.length < last.size / 2) return true;
    const there = new Set(now);
    const before = this.#last.filter((item) => there.has(item));
    return now.some((item, at) => item !== before[at]);
  }

  arrange({ found, sorted, part, isKnown }: WantedList): Arranged {
    this.#watch.disconnect();
    const items = this.#items();
    for (const { item } of items) if (!this.#places.has(item)) this.#places.set(item, this.#places.size);
    const place = new Map(found.map((id, at) => [id, at]));
    const own = (item: Element) => this.#places.get(item) ?? 0;
    const fitting = items.filter(({ id }) => place.has(id));
    fitting.sort((a, b) =>
      sorted ? (place.get(a.id) ?? 0) - (place.get(b.id) ?? 0) || own(a.item) - own(b.item) : own(a.item) - own(b.item),
    );
    const shown = part ? fitting.slice(...part) : fitting;
    const seen = new Set(shown.map(({ item }) => item));
    const strangers = items.filter(({ id }) => !isKnown(id));
    if (this.#contest !== "all") for (const { item, id } of items) setHidden(item, isKnown(id) && !seen.has(item));
    // Products that do not match move to the end, so the first item is also the first visible one.
    const rest = items.filter(({ item, id }) => isKnown(id) && !place.has(id) && !seen.has(item));
    const byPlace = (a: Marked, b: Marked) => own(a.item) - own(b.item);
    if (this.#contest === "no")
      this.#put(sorted ? [...fitting, ...strangers.sort(byPlace), ...rest.sort(byPlace)] : [...items].sort(byPlace));
    this.#last = this.#items().map(({ item }) => item);
    if (this.#contest !== "all") this.#observe();
    const ids = items.map(({ id }) => id);
    const there = new Set(ids);
    return {
      shown: shown.map(({ id }) => id),
      missing: found.filter((id) => !there.has(id)).length,
      unknown: strangers.map(({ id }) => id),
      contested: this.#contest,
      twice: [...new Set(ids.filter((id, at) => ids.indexOf(id) !== at))],
    };
  }

  /** Shows everything again, in the site's own order, and follows the list no longer. */
  leave(): void {
    this.#watch.disconnect();
    const items = this.#items();
    for (const { item } of items) setHidden(item, false);
    this.#put(items.sort((a, b) => (this.#places.get(a.item) ?? 0) - (this.#places.get(b.item) ?? 0)));
  }

  #observe(): void {
    this.#watch.observe(this.element, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: [productMark],
    });
  }

  /** The list's own children that hold a product. */
  #items(): Marked[] {
    return [...this.element.children].flatMap((item) => {
      const marked = item.hasAttribute(productMark) ? item : item.querySelector(`[${productMark}]`);
      const id = marked?.getAttribute(productMark);
      return id == null ? [] : [{ item, id }];
    });
  }

  /** Puts items into an order, and touches nothing where they stand in it already. */
  #put(items: readonly Marked[]): void {
    const now = this.#items();
    if (now.every(({ item }, at) => item === items[at]?.item)) return;
    const focused = document.activeElement;
    this.element.append(...items.map(({ item }) => item));
    if (focused instanceof HTMLElement && this.element.contains(focused)) focused.focus({ preventScroll: true });
  }
}

interface Marked {
  item: Element;
  id: string;
}

function setHidden(item: Element, hidden: boolean): void {
  if (item.hasAttribute("hidden") !== hidden) item.toggleAttribute("hidden", hidden);
}
