import { fieldOf, firstValue } from "../catalogue/catalogue.ts";
import { parseNumber } from "../catalogue/values.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";

/** What a listing shows of one product. */
export interface Card {
  id: string;
  title: string;
  brand: string | undefined;
  /** Address of a picture that is safe to load. */
  image: string | undefined;
  /** The lowest present price, and whether other variants cost more. */
  price: number | undefined;
  from: boolean;
  /** The list price of that variant, when it is higher. */
  was: number | undefined;
  soldOut: boolean;
}

export function cardOf(index: CatalogueIndex, product: number): Card {
  const { catalogue } = index;
  const [first, last] = [catalogue.variantStart[product], catalogue.variantStart[product + 1]];
  const read = (role: Parameters<typeof fieldOf>[1], variant = first) => {
    const field = fieldOf(catalogue, role);
    return field && firstValue(catalogue, field.key, variant);
  };
  let price: number | undefined;
  let was: number | undefined;
  let dearest = Number.NEGATIVE_INFINITY;
  let stocked = fieldOf(catalogue, "availability") === undefined;
  for (let v = first; v < last; v++) {
    const amount = parseNumber(read("price", v) ?? "");
    if (read("availability", v) !== "out of stock") stocked = true;
    if (Number.isNaN(amount)) continue;
    dearest = Math.max(dearest, amount);
    if (price !== undefined && amount >= price) continue;
    price = amount;
    const list = parseNumber(read("list_price", v) ?? "");
    was = list > amount ? list : undefined;
  }
  return {
    id: catalogue.productIds[product],
    title: read("title") ?? catalogue.productIds[product],
    brand: read("brand"),
    image: safeImage(read("image")),
    price,
    from: price !== undefined && dearest > price,
    was,
    soldOut: !stocked,
  };
}

/** Pictures come from the shop itself or over http; anything else could be made to run. */
export function safeImage(address: string | undefined): string | undefined {
  return address && (/^https?:\/\//i.test(address) || /^\/(?!\/)/.test(address)) ? address : undefined;
}
