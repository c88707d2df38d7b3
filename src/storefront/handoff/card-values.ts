import type { Field } from "../../core/catalogue/field.ts";
import type { Card } from "../../core/engine/cards/card-schema.ts";
import { productLink } from "../../core/shop/product-link.ts";
import { money } from "../panel/format.ts";
import { valueWriter } from "../panel/value-text.ts";
import type { Say } from "../words/say.ts";

/** The inputs of cards. */
export interface CardWords {
  say: Say;
  language: string;
  currency: string;
  fields: ReadonlyMap<string, Field>;
  /** Address of products, see {@link ./wire.ts}. */
  link: string;
}

/** The values of a card template's slots, by name; an unknown name is a field's key. */
export function cardValues(card: Card, words: CardWords): Readonly<Record<string, string>> {
  const { say, language, currency, fields, link } = words;
  const { price, was, from, soldOut, brand, image, title, id, variant } = card;
  const priced = price === undefined ? "" : money(price, currency, language);
  return {
    ...Object.fromEntries(
      Object.entries(card.values).map(([key, values]) => [key, writtenValues(fields.get(key), values, words)]),
    ),
    id,
    title,
    brand: brand ?? "",
    picture: image ?? "",
    price: from && priced !== "" ? `${say("priceFrom")} ${priced}` : priced,
    was: was === undefined ? "" : money(was, currency, language),
    stock: soldOut ? say("soldOut") : "",
    link: productLink(link, id, variant),
  };
}

function writtenValues(
  field: Field | undefined,
  values: readonly string[],
  words: Pick<CardWords, "currency" | "language" | "say">,
): string {
  return (field ? values.map(valueWriter(field, words)) : values).join(", ");
}

/** Slots whose value is an address, with the attribute they set. */
const placed: Readonly<Record<string, "href" | "src">> = { link: "href", picture: "src" };

/** The effect of one slot on its element. */
export type Filling = { text: string } | { attribute: "href" | "src"; value: string } | { drop: true };

/**
 * The effect of slots on their element, the same in the browser and on the server: a link's target, a picture's source
 * or the element's text. An element without a value is removed, so that no card has an empty one.
 * @param names the value of `data-slot`, like `link title`
 */
export function fillings(names: string, values: Readonly<Record<string, string>>): Filling[] {
  return names
    .split(/\s+/)
    .filter(Boolean)
    .map((name): Filling => {
      const value = Object.hasOwn(values, name) ? (values[name] ?? "") : "";
      const attribute = Object.hasOwn(placed, name) ? placed[name] : undefined;
      if (value === "") return { drop: true };
      return attribute ? { attribute, value } : { text: value };
    });
}

/** The attribute of a card template's elements that names their content. */
export const slotMark = "data-slot";
