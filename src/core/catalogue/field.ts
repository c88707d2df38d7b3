import { type DerivedField, derivedFields, type FieldRole } from "./field-names.ts";
import type { Field } from "./field-schema.ts";
import { identity } from "./identity.ts";

export type { DerivedField, FieldRole, KnownColumn } from "./field-names.ts";
export { knownColumns } from "./field-names.ts";
export type { Field } from "./field-schema.ts";

/** The plain names of known and computed fields. */
export const roleNames: Record<Exclude<FieldRole, "attribute">, string> = {
  product_id: "Product id",
  sku: "SKU",
  title: "Title",
  description: "Description",
  category: "Category",
  type: "Type",
  brand: "Brand",
  tags: "Tags",
  price: "Price",
  list_price: "List price",
  stock: "Stock",
  rating: "Rating",
  reviews: "Reviews",
  published: "Published",
  image: "Image",
  availability: "Availability",
  on_sale: "On sale",
  collections: "Collections",
};

/** Fields that identify products and so never make a facet. */
const naming: ReadonlySet<FieldRole> = new Set(["product_id", "sku", "title", "description", "image"]);
/** Fields that belong to variants regardless of the data. */
const alwaysVariant: ReadonlySet<FieldRole> = new Set([
  "price",
  "list_price",
  "stock",
  "sku",
  "availability",
  "on_sale",
]);

/** Whether the field's cells hold one whole text, so that a `|` in it is not a separator. */
export const isWholeText = (role: FieldRole): boolean => naming.has(role);
/** Whether the field can be offered to shoppers as a facet. */
export const isFacetable = (field: Field): boolean => !naming.has(field.role);
/** Whether the field is computed from others, and so neither stored nor exported. */
export const isDerived = ({ role }: Field): boolean => isDerivedRole(role);
/** The same, from the role alone. */
export const isDerivedRole = (role: FieldRole): role is DerivedField =>
  (derivedFields as readonly string[]).includes(role);
/** Whether a role belongs to variants even if all variants of a product agree. */
export const isAlwaysVariant = (role: FieldRole): boolean => alwaysVariant.has(role);

/** The known or computed role that a heading names: `List Price`, `list_price` and `list price` are one. */
export function knownRole(heading: string): Exclude<FieldRole, "attribute"> | undefined {
  const name = identity(heading.replaceAll("_", " ")).replaceAll(" ", "_");
  return Object.hasOwn(roleNames, name) ? (name as Exclude<FieldRole, "attribute">) : undefined;
}

/** Query parameters that a listing page uses itself, and one name that every JavaScript object has. */
const reserved = ["q", "sort", "page", "panel", "band", "constructor"];

/** Maximum length of a key, in code points: rows and addresses use it with a prefix. */
const longestKey = 80;

/** Letters whose accents are dropped; in other scripts the marks are part of the word. */
const accented = /([\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}])\p{M}+/gu;

/**
 * A key for a heading, made of lower-case letters, digits and hyphens, that is not in `taken`. Other scripts than
 * Latin, Greek and Cyrillic keep their marks, so that “パネル” and “शब्द” stay themselves.
 * @param fallback used for a heading without letters and digits, such as “..” or an emoji
 */
export function fieldKey(heading: string, taken: ReadonlySet<string>, fallback = "field"): string {
  const whole = identity(heading)
    .normalize("NFKD")
    .replace(accented, "$1")
    .normalize("NFC")
    .replace(/^\p{M}+/u, "")
    .replace(/[^\p{L}\p{N}\p{M}]+\p{M}*/gu, "-");
  const slug = [...whole].slice(0, longestKey).join("").replace(/^-|-$/g, "") || fallback;
  for (let n = 1; ; n++) {
    const key = n === 1 ? slug : `${slug}-${n}`;
    if (!taken.has(key) && !reserved.includes(key)) return key;
  }
}
