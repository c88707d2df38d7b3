import { fillTemplate } from "./card-template.ts";
import { cardValues } from "./card-values.ts";
import { HandoffFault } from "./faults.ts";
import { productMark } from "./marks.ts";
import { MemberElement } from "./member-element.ts";
import type { OpenGroup } from "./open-group.ts";

/** `<trellis-listing>`: the products found, each as a card from its template. */
export class TrellisListing extends MemberElement {
  /** Shows a results page, from 1. */
  turn(page: number): void {
    this.group?.open?.store.perform({ do: "turn", page });
  }

  /** Sets the order, like `price` or `-rating`; empty for the page's own. */
  sort(sort: string): void {
    this.group?.open?.store.perform({ do: "sort", sort });
  }

  get panel(): undefined {
    return undefined;
  }

  protected get piece(): string {
    return "listing";
  }

  get cards(): boolean {
    return true;
  }

  wake(open: OpenGroup): void {
    this.show(open);
  }

  /** Redraws the cards, leaving unchanged ones alone. */
  show({ group, store, shop, engine }: OpenGroup): void {
    // The drawn cards stay until products can be counted.
    if (!engine.here) return;
    const template = this.querySelector("template");
    const list = this.querySelector("[data-trellis-cards]");
    if (!template?.content.firstElementChild || !list) {
      group.fault(
        new HandoffFault(
          "list",
          "A trellis-listing needs a template with one card, and an element with data-trellis-cards.",
        ),
      );
      return;
    }
    const { state } = store;
    const words = { ...state, link: shop.link };
    state.answer.products.forEach((card, at) => {
      const now = list.children[at];
      const next = fillTemplate(template, card.id, cardValues(card, words));
      if (!next) return;
      if (!now) list.append(next);
      else if (!isSame(now, next)) now.replaceWith(next);
    });
    while (list.children.length > state.answer.products.length) list.lastElementChild?.remove();
  }
}

/** Whether two cards are equal, ignoring the author's indentation. */
const isSame = (a: Element, b: Element): boolean =>
  a.getAttribute(productMark) === b.getAttribute(productMark) &&
  a.outerHTML.replace(/\s+/g, " ") === b.outerHTML.replace(/\s+/g, " ");
