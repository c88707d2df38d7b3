import { type Catalogue, ColumnBuilder, fieldOf, firstValue, variantCount } from "./catalogue.ts";
import { fieldKey, roleNames } from "./field.ts";
import { parseNumber } from "./field-kinds.ts";
import { availabilityOf } from "./stock-words.ts";

/**
 * Adds the computed fields whose source columns exist. Availability: in stock if stock is above 0 or says so in words;
 * a variant without a number or a known word states none. On sale: yes if list price > price; a variant without a list
 * price is not on sale.
 */
export function addDerived(catalogue: Catalogue): void {
  const taken = new Set(catalogue.fields.map((field) => field.key));
  const stock = fieldOf(catalogue, "stock");
  const price = fieldOf(catalogue, "price");
  const list = fieldOf(catalogue, "list_price");
  const read = (key: string, variant: number) => parseNumber(firstValue(catalogue, key, variant) ?? "");

  if (stock && !fieldOf(catalogue, "availability")) {
    const builder = new ColumnBuilder();
    for (let v = 0; v < variantCount(catalogue); v++) {
      const said = availabilityOf(firstValue(catalogue, stock.key, v) ?? "");
      builder.add(said === undefined ? [] : [said]);
    }
    const key = fieldKey("availability", taken);
    catalogue.fields.push({ key, name: roleNames.availability, role: "availability", kind: "text" });
    catalogue.columns.set(key, builder.build());
  }
  if (price && list && !fieldOf(catalogue, "on_sale")) {
    const builder = new ColumnBuilder();
    for (let v = 0; v < variantCount(catalogue); v++) {
      const now = read(price.key, v);
      builder.add(Number.isNaN(now) ? [] : [read(list.key, v) > now ? "yes" : "no"]);
    }
    const key = fieldKey("on-sale", taken);
    catalogue.fields.push({ key, name: roleNames.on_sale, role: "on_sale", kind: "yes-no" });
    catalogue.columns.set(key, builder.build());
  }
}
