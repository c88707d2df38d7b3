import { inStock, outOfStock } from "../../catalogue/availability.ts";
import { fieldOf, firstValue, titleOf, valuesOf } from "../../catalogue/catalogue.ts";
import type { FieldRole } from "../../catalogue/field.ts";
import { parseNumber } from "../../catalogue/field-kinds.ts";
import { isSafePicture } from "../../sanitize/safe-address.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Card, CardVariant } from "./card-schema.ts";
import { factsOf } from "./facts-of.ts";
import { variantLabel } from "./variant-label.ts";

/** Data wanted on a card besides what every card has. */
export interface Shown {
  fields: readonly string[];
  variants: boolean;
}

const nothingMore: Shown = { fields: [], variants: false };

/**
 * The listing data of a product. Picture, price, sale and stock come from its matching variants.
 * @param matches whether a variant meets the page's conditions and the selection; all by default
 */
export function cardOf(
  index: CatalogueIndex,
  product: number,
  matches: (variant: number) => boolean = () => true,
  { fields, variants }: Shown = nothingMore,
): Card {
  const { catalogue } = index;
  const [first, last] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
  const all = Array.from({ length: last - first }, (_, i) => variantOf(index, first, first + i, matches));
  const found = all.filter((one) => one.matches);
  // Every listed product has a matching variant; without any, all are shown.
  const shown = found.length > 0 ? found : all;
  const priced = shown.filter(({ price }) => price !== undefined);
  const cheapest = priced.reduce<CardVariant | undefined>(
    (low, one) => (low === undefined || (one.price ?? 0) < (low.price ?? 0) ? one : low),
    undefined,
  );
  const lead = cheapest ?? shown[0];
  const image = read(index, "image", first + (lead?.at ?? 0)) ?? read(index, "image", first);
  const picture = image !== undefined && isSafePicture(image) ? image : undefined;
  return {
    id: catalogue.productIds[product] ?? "",
    title: titleOf(catalogue, product),
    brand: read(index, "brand", first),
    image: picture,
    ...(picture === undefined ? { facts: factsOf(index, first + (lead?.at ?? 0)) } : {}),
    price: cheapest?.price,
    ...ends(priced.flatMap(({ price }) => price ?? [])),
    was: cheapest?.was,
    soldOut: shown.every((one) => one.soldOut),
    inStock: shown.some((one) => one.inStock),
    ...(found.length < all.length && lead ? { variant: lead.at } : {}),
    values: Object.fromEntries(
      fields.map((key) => [key, [...new Set(shown.flatMap(({ at }) => valuesOf(catalogue, key, first + at)))]]),
    ),
    ...(variants && all.length > 1
      ? { variants: all.map((one) => ({ ...one, name: variantLabel(index, product, first + one.at) })) }
      : {}),
  };
}

/** Whether prices differ, and the highest where they do. */
function ends(prices: readonly number[]): Pick<Card, "from" | "most"> {
  const [least, most] = [Math.min(...prices), Math.max(...prices)];
  return most > least ? { from: true, most } : { from: false };
}

/** One variant of a product, without its name. */
function variantOf(
  index: CatalogueIndex,
  first: number,
  variant: number,
  matches: (variant: number) => boolean,
): CardVariant {
  const number = (role: FieldRole) => {
    const value = parseNumber(read(index, role, variant) ?? "");
    return Number.isNaN(value) ? undefined : value;
  };
  const [price, list] = [number("price"), number("list_price")];
  const said = read(index, "availability", variant);
  return {
    at: variant - first,
    name: "",
    price,
    was: price !== undefined && list !== undefined && list > price ? list : undefined,
    soldOut: said === outOfStock,
    inStock: said === inStock,
    matches: matches(variant),
  };
}

function read({ catalogue }: CatalogueIndex, role: FieldRole, variant: number): string | undefined {
  const field = fieldOf(catalogue, role);
  return field && firstValue(catalogue, field.key, variant);
}
