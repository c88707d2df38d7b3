import { isSafeAddress, isSafePicture } from "../../core/sanitize/safe-address.ts";
import { fillings, slotMark } from "./card-values.ts";
import { productMark } from "./site-list.ts";

/** A card made of a template, with the values of a product in its slots. Values are text: no markup can come of them. */
export function fillTemplate(
  template: HTMLTemplateElement,
  id: string,
  values: Readonly<Record<string, string>>,
): Element | undefined {
  const card = (template.content.cloneNode(true) as DocumentFragment).firstElementChild;
  if (!card) return undefined;
  card.setAttribute(productMark, id);
  for (const element of [card, ...card.querySelectorAll(`[${slotMark}]`)]) {
    for (const filling of fillings(element.getAttribute(slotMark) ?? "", values)) {
      if ("drop" in filling) element.remove();
      else if ("text" in filling) element.textContent = filling.text;
      else if (filling.attribute === "src" ? isSafePicture(filling.value) : isSafeAddress(filling.value))
        element.setAttribute(filling.attribute, filling.value);
    }
    element.removeAttribute(slotMark);
  }
  return card;
}
