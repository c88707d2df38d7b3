import { productMark } from "./marks.ts";
import { plainRows } from "./plain-rows.ts";

/** The state of a list after arranging it. */
export interface Arranged {
  /** Ids of the visible products, in order. */
  shown: string[];
  /** Number of found products that the list does not contain. */
  missing: number;
  /** Marked products that the catalogue does not contain; they stay visible. */
  unknown: string[];
  /** Number of products in the list. */
  length: number;
  /** Ids of several products in the list. */
  twice: string[];
  /** Whether the site reverted each change of the order, so that the list is now only filtered, or left alone. */
  contested: Contest;
}

/** The extent of a conflict with a site's own script: none, about the order, or about hidden products. */
export type Contest = "no" | "order" | "all";

/** Number of reverted changes within a number of ms from which a conflict is assumed. */
const rounds = 30;
const within = 2000;

/** The desired content of a list. */
export interface WantedList {
  /** Ids of all products found, in order. */
  found: readonly string[];
  /** Whether the shopper has chosen an order; otherwise the site's own order stays. */
  sorted: boolean;
  /** Start (inclusive) and end (exclusive) of the visible part; all if absent. */
  part: readonly [from: number, to: number] | undefined;
  isKnown(id: string): boolean;
}

/** A site's own list: products are hidden and reordered in place, and never created or removed. */
export class SiteList {
  readonly element: Element;
  #places = new Map<Element, number>();
  #watch: MutationObserver;
  #contest: Contest = "no";
  /** Times of recent reversals by the site. */
  #undone: number[] = [];
  /** The items after the last arrangement. */
  #last: readonly Element[] = [];
  #endPlain: (() => void) | undefined;

  /** @param changed called when the site itself changes the list */
  constructor(element: Element, changed: () => void) {
    this.element = element;
    this.#watch = new MutationObserver(() => {
      this.#count();
      changed();
    });
    this.#observe();
  }

  /** A site that reverts each arrangement would loop for ever, and the page would hang. */
  #count(): void {
    if (!this.#isUndone()) return;
    const now = performance.now();
    this.#undone = [...this.#undone.filter((at) => now - at < within), now];
    if (this.#undone.length < rounds) return;
    this.#contest = this.#contest === "no" ? "order" : "all";
    this.#undone = [];
  }

  /**
   * Whether the order of the items has changed since the last arrangement, or most are gone. Added items do not count.
   */
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
    const byPlace = (a: Marked, b: Marked) => own(a.item) - own(b.item);
    // Hidden products stay behind sorted ones, so that the first item is also the first visible one.
    if (this.#contest === "no") {
      const visible = [...shown, ...strangers.sort(byPlace)];
      const front = new Set(visible);
      this.#put(sorted ? [...visible, ...items.filter((one) => !front.has(one))] : [...items].sort(byPlace));
    }
    this.#last = this.#items().map(({ item }) => item);
    if (this.#contest !== "all") this.#observe();
    this.#endPlain ??= plainRows(this.element, this.#last);
    const there = new Map<string, number>();
    for (const { id } of items) there.set(id, (there.get(id) ?? 0) + 1);
    return {
      shown: shown.map(({ id }) => id),
      missing: found.filter((id) => !there.has(id)).length,
      unknown: strangers.map(({ id }) => id),
      contested: this.#contest,
      length: items.length,
      twice: [...there].flatMap(([id, times]) => (times > 1 ? [id] : [])),
    };
  }

  /** Number of products in the list. */
  get length(): number {
    return this.#items().length;
  }

  /** The last visible product, if any is hidden behind it. */
  get lastShown(): Element | undefined {
    const items = this.#items().map(({ item }) => item);
    return items.some((item) => item.hasAttribute("hidden"))
      ? items.findLast((item) => !item.hasAttribute("hidden"))
      : undefined;
  }

  /** Shows all products in the site's own order again, and stops observing the list. */
  leave(): void {
    this.#watch.disconnect();
    this.#endPlain?.();
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

  /** The list's children that contain a product. */
  #items(): Marked[] {
    return [...this.element.children].flatMap((item) => {
      const marked = item.hasAttribute(productMark) ? item : item.querySelector(`[${productMark}]`);
      const id = marked?.getAttribute(productMark);
      return id == null ? [] : [{ item, id }];
    });
  }

  /**
   * Reorders items, without touching them if they are in order already. All are appended anew: a browser lays out 3,000
   * of them in 40 ms then, and in 390 ms if only 150 are moved to the front.
   */
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
