import type { FieldRole } from "../../core/catalogue/field-names.ts";
import type { Field } from "../../core/catalogue/field-schema.ts";
import { en } from "./en.ts";
import type { Say, WordKey } from "./say.ts";

const phrases: Partial<Record<FieldRole, WordKey>> = {
  category: "fieldCategory",
  type: "fieldType",
  brand: "fieldBrand",
  tags: "fieldTags",
  price: "fieldPrice",
  rating: "fieldRating",
  reviews: "fieldReviews",
  stock: "fieldStock",
  published: "fieldPublished",
  availability: "fieldAvailability",
  on_sale: "fieldOnSale",
  collections: "fieldCollections",
};

/** A field's name for shoppers: in their language, if it is a built-in one that still has its usual English name. */
export function fieldTitle({ role, name }: Pick<Field, "role" | "name">, say: Say): string {
  const phrase = phrases[role];
  return phrase !== undefined && en[phrase] === name ? say(phrase) : name;
}
