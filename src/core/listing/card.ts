import { fieldOf, firstValue, titleOf } from "../catalogue/catalogue.ts";
import { parseNumber } from "../catalogue/values.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { isSafePicture } from "../safe/safe-address.ts";
import type { Card } from "./card-schema.ts";

/** What a listing shows of a product. */
export function cardOf(index: CatalogueIndex, product: number): Card {
  const { catalogue } = index;
  const [first, last] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
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
  const image = read("image");
  return {
    id: catalogue.productIds[product] ?? "",
    title: titleOf(catalogue, product),
    brand: read("brand"),
    image: image !== undefined && isSafePicture(image) ? image : undefined,
    price,
    from: price !== undefined && dearest > price,
    was,
    soldOut: !stocked,
  };
}
