import { EntitySchema, type Ref } from "@mikro-orm/core";
import type { Field } from "../../../core/catalogue/field.ts";
import type { RememberedReading } from "../../../core/catalogue/reading-schema.ts";
import { ofShop, type Shop } from "./shop.ts";

/** A part of a shop's imported catalogue in binary form. A newer file replaces all parts at once. */
export interface CataloguePart {
  id: number;
  shop: Ref<Shop>;
  position: number;
  bytes: Uint8Array;
}

/** A shop's catalogue, corrections and swatch book before an import; kept for a while. */
export interface PastCatalogue {
  id: number;
  shop: Ref<Shop>;
  replacedAt: Date;
  /** The catalogue after it. */
  words: string;
  /** Number of products in its successor. */
  nextCount: number;
  fields: Field[];
  productCount: number;
  variantCount: number;
  reading: RememberedReading[];
  hash?: string | null;
  mends: object;
  swatches: object;
}

/** A part of a past catalogue in binary form. */
export interface PastPart {
  id: number;
  past: Ref<PastCatalogue>;
  position: number;
  bytes: Uint8Array;
}

export const CataloguePartSchema: EntitySchema<CataloguePart> = new EntitySchema<CataloguePart>({
  name: "CataloguePart",
  tableName: "catalogue_part",
  uniques: [{ properties: ["shop", "position"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    position: { type: "integer" },
    bytes: { type: "blob" },
  },
});

export const PastCatalogueSchema: EntitySchema<PastCatalogue> = new EntitySchema<PastCatalogue>({
  name: "PastCatalogue",
  tableName: "past_catalogue",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    replacedAt: { type: "datetime" },
    words: { type: "string" },
    nextCount: { type: "integer" },
    fields: { type: "json" },
    productCount: { type: "integer" },
    variantCount: { type: "integer" },
    reading: { type: "json" },
    hash: { type: "string", nullable: true },
    mends: { type: "json" },
    swatches: { type: "json" },
  },
});

export const PastPartSchema: EntitySchema<PastPart> = new EntitySchema<PastPart>({
  name: "PastPart",
  tableName: "past_part",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    past: { kind: "m:1", entity: () => PastCatalogueSchema, ref: true, deleteRule: "cascade" },
    position: { type: "integer" },
    bytes: { type: "blob" },
  },
});
