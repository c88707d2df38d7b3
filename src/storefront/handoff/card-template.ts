import { isSafeAddress, isSafePicture } from "../../core/sanitize/safe-address.ts";
import { fillings, slotMark } from "./card-values.ts";
import { productMark } from "./marks.ts";

/**
 * A card made from a template, with a product's values in its slots. Values are inserted as text, so they can't add
 * markup.
 */
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
