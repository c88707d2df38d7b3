import { type Catalogue, ColumnBuilder, variantCount } from "../catalogue/catalogue.ts";
import { fieldKey, roleNames } from "../catalogue/field.ts";
import { productsWithin } from "../engine/base.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { collectionPages } from "./page-list.ts";
import type { PagesDocument } from "./pages-schema.ts";
import { membersOf } from "./shown-page.ts";

/** Maximum number of collections offered as options: a collection per value counts as many. */
export const maxCollections = 2000;

/**
 * Adds the shop's collections to a catalogue as a computed field: a product states the name of each collection that
 * contains it. Unchanged if the shop has no collections.
 * @param catalogue with its corrections applied
 */
export function withCollections(
  catalogue: Catalogue,
  pages: Pick<PagesDocument, "collections"> | undefined,
): Catalogue {
  if (!pages || pages.collections.length === 0) return catalogue;
  const index = new CatalogueIndex(catalogue);
  const facts = {
    fields: catalogue.fields,
    optionsOf: (key: string) => index.allOptions(key),
  };
  const made = collectionPages(pages, facts)
    .filter(({ name }) => name.trim() !== "")
    .slice(0, maxCollections);
  const names: string[][] = Array.from({ length: index.products }, () => []);
  for (const { collection, value, name } of made) {
    for (const product of productsWithin(index, membersOf(collection, value?.id))) names[product]?.push(name);
  }
  const builder = new ColumnBuilder();
  const { productOf } = index;
  for (let v = 0; v < variantCount(catalogue); v++) builder.add(names[productOf[v] ?? 0] ?? []);
  const key = fieldKey("collections", new Set(catalogue.fields.map((field) => field.key)));
  return {
    ...catalogue,
    fields: [...catalogue.fields, { key, name: roleNames.collections, role: "collections", kind: "text" }],
    columns: new Map([...catalogue.columns, [key, builder.build()]]),
  };
}
