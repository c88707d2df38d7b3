import { fillTemplate } from "./card-template.ts";
import { cardValues } from "./card-values.ts";
import { HandoffFault } from "./faults.ts";
import { MemberElement } from "./member-element.ts";
import type { OpenGroup } from "./open-group.ts";
import { productMark } from "./site-list.ts";

/** `<trellis-listing>`: the products that are found, each a card made of the template inside of it. */
export class TrellisListing extends MemberElement {
  /** Shows a page of the products; the first is 1. */
  turn(page: number): void {
    this.group?.open?.store.perform({ do: "turn", page });
  }

  /** Puts the products into another order, like `price` or `-rating`; empty for the page's own. */
  sort(sort: string): void {
    this.group?.open?.store.perform({ do: "sort", sort });
  }

  get panel(): undefined {
    return undefined;
  }

  get cards(): boolean {
    return true;
  }

  wake(open: OpenGroup): void {
    this.show(open);
  }

  /** Draws the cards anew, and leaves those alone that are the same. */
  show({ group, store, shop, engine }: OpenGroup): void {
    // Until products can be counted those stand that were drawn.
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

/** Whether two cards say the same. What stands between their elements is the author's way of indenting. */
const isSame = (a: Element, b: Element): boolean =>
  a.getAttribute(productMark) === b.getAttribute(productMark) &&
  a.outerHTML.replace(/\s+/g, " ") === b.outerHTML.replace(/\s+/g, " ");
