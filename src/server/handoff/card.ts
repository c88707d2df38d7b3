import { type ChildNode, cloneNode, type Document, type Element, isTag } from "domhandler";
import { findAll, getOuterHTML, removeElement } from "domutils";
import { parseDocument } from "htmlparser2";
import { isSafeAddress, isSafePicture } from "../../core/sanitize/safe-address.ts";
import { fillings, slotMark } from "../../storefront/handoff/card-values.ts";
import { escaped } from "../../storefront/handoff/draw.tsx";
import { productMark } from "../../storefront/handoff/marks.ts";
import { HttpError } from "../http-error.ts";

/** The card until a site brings its own. */
export const defaultCard = `<li>
  <a data-slot="link" tabindex="-1" aria-hidden="true"><img data-slot="picture" alt="" width="400" height="400" loading="lazy"></a>
  <h3><a data-slot="link title"></a></h3>
  <p><span data-slot="price"></span> <s data-slot="was"></s> <em data-slot="stock"></em></p>
</li>`;

const onlyElement = (document: Document): Element | undefined => {
  const elements = document.children.filter((node): node is Element => isTag(node));
  return elements.length === 1 ? elements[0] : undefined;
};

/** Checks a card template. @throws HttpError if it is not one element */
export function checkCard(html: string): string {
  const card = onlyElement(parseDocument(html));
  if (!card || card.name === "script")
    throw new HttpError(
      422,
      "The card template must be one element, like <li>…</li>, with data-slot on the parts to fill.",
    );
  return html.trim();
}

/** The names of all slots of a template. */
export const slotsOf = (template: string): string[] =>
  findAll(() => true, parseDocument(template).children).flatMap(({ attribs }) =>
    (attribs[slotMark] ?? "").split(/\s+/).filter(Boolean),
  );

/** The template parsed last: a handoff has thousands of cards from one. */
let parsed: { template: string; card: Element | undefined } | undefined;

/** A card from a template with a product's values, as the element in the page would make it. */
export function filledCard(template: string, id: string, values: Readonly<Record<string, string>>): string {
  if (parsed?.template !== template) parsed = { template, card: onlyElement(parseDocument(template)) };
  if (!parsed.card) return "";
  const card = cloneNode(parsed.card, true);
  for (const element of findAll(() => true, [card])) {
    const names = element.attribs[slotMark] ?? "";
    delete element.attribs[slotMark];
    for (const filling of fillings(names, values)) {
      if ("drop" in filling) removeElement(element);
      else if ("text" in filling) element.children = [...parseDocument(escaped(filling.text)).children] as ChildNode[];
      else if (filling.attribute === "src" ? isSafePicture(filling.value) : isSafeAddress(filling.value))
        element.attribs[filling.attribute] = filling.value;
    }
  }
  card.attribs[productMark] = id;
  return getOuterHTML(card);
}
