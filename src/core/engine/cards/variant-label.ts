import { valuesOf } from "../../catalogue/catalogue.ts";
import { isFacetable } from "../../catalogue/field.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";

/** The words that set a variant apart from the others of its product; its SKU or number if there are none. */
export function variantLabel(index: CatalogueIndex, product: number, variant: number): string {
  const { catalogue } = index;
  const words = catalogue.fields
    .filter((field) => field.role === "attribute" && isFacetable(field) && index.level(field.key) === "variant")
    .map(({ key }) => valuesOf(catalogue, key, variant).join(", "))
    .filter((text) => text !== "");
  if (words.length > 0) return words.join(" · ");
  const sku = catalogue.fields.find(({ role }) => role === "sku");
  const code = sku && valuesOf(catalogue, sku.key, variant)[0];
  return code ?? String(variant - (catalogue.variantStart[product] ?? 0) + 1);
}
