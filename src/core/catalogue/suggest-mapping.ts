import type { KnownColumn } from "./field.ts";
import { identity } from "./identity.ts";
import { guessMapping, type Mapping } from "./read.ts";

/** Headings that other programs use for known columns. Common practice, no source. */
const synonyms: Partial<Record<KnownColumn, readonly string[]>> = {
  product_id: ["id", "product", "product no", "product number", "article", "article no", "item", "item id", "parent sku", "code"],
  sku: ["variant sku", "variant id", "item no"],
  title: ["name", "product name", "product title", "item name", "label", "model"],
  description: ["body", "text", "details"],
  category: ["categories", "product category", "department", "group"],
  type: ["product type", "kind"],
  brand: ["vendor", "maker", "manufacturer", "producer"],
  tags: ["keywords", "labels"],
  price: ["sale price", "current price", "unit price", "variant price"],
  list_price: ["regular price", "compare at price", "old price", "rrp", "msrp"],
  stock: ["quantity", "qty", "inventory", "on hand"],
  rating: ["average rating", "stars", "score"],
  reviews: ["review count", "rating count"],
  published: ["published at", "created at", "date added"],
  image: ["image url", "image src", "picture", "photo", "images"],
};

/** The strict guess, and for known columns that it did not find a heading that usually means the same. */
export function suggestMapping(header: readonly string[]): Mapping {
  const mapping = guessMapping(header);
  const names = header.map((heading) => identity(heading.replaceAll(/[_-]/g, " ")));
  for (const [column, others] of Object.entries(synonyms) as [KnownColumn, readonly string[]][]) {
    if (mapping.includes(column)) continue;
    const at = others.map((name) => names.indexOf(name)).find((place) => place >= 0 && mapping[place] === "attribute");
    if (at !== undefined) mapping[at] = column;
  }
  return mapping;
}
