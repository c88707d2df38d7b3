/** Whose a field's values are. */
export const fieldLevels = ["product", "variant"] as const;

/** The columns that the catalogue format knows by name; every other column is an attribute. */
export const knownColumns = [
  "product_id",
  "sku",
  "title",
  "description",
  "category",
  "type",
  "brand",
  "tags",
  "price",
  "list_price",
  "stock",
  "rating",
  "reviews",
  "published",
  "image",
] as const;
export type KnownColumn = (typeof knownColumns)[number];

/** Fields that are computed from others: availability from stock, on sale from price and list price, and the shop's collections. */
export const derivedFields = ["availability", "on_sale", "collections"] as const;
export type DerivedField = (typeof derivedFields)[number];

export const fieldRoles = [...knownColumns, ...derivedFields, "attribute"] as const;
export type FieldRole = (typeof fieldRoles)[number];
