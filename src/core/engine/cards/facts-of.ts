import { valuesOf } from "../../catalogue/catalogue.ts";
import { type Field, isDerivedRole, isFacetable } from "../../catalogue/field.ts";
import { isNested, isNumeric, isTwoValued, kindFacts } from "../../catalogue/field-kinds.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";

const most = 3;
/** Longer values are sentences, and a card has no room for them. */
const longest = 28;
/** Fields that distinguish products at a glance come first; the others follow in the catalogue's order. */
const first = ["type", "brand"];

/** The replacement for a missing product picture: a few short values of the product. */
export function factsOf({ catalogue }: CatalogueIndex, variant: number): string[] {
  const place = (field: Field) => (kindFacts(field).colours ? 0 : first.includes(field.role) ? 1 : 2);
  const fields = catalogue.fields.filter(
    (field) => isFacetable(field) && !isNumeric(field) && !isTwoValued(field) && !field.titles,
  );
  const facts: string[] = [];
  for (const { key, kind, role } of fields.sort((a, b) => place(a) - place(b))) {
    if (facts.length === most) break;
    // Stock in words is one variant's; the card says what holds for the product.
    if (role === "tags" || role === "stock" || isDerivedRole(role)) continue;
    const [value] = valuesOf(catalogue, key, variant);
    const text = isNested({ kind }) ? value?.split(" > ").at(-1) : value;
    if (text && text.length <= longest && !facts.includes(text)) facts.push(text);
  }
  return facts;
}
