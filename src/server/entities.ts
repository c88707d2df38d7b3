import { type Collection, EntitySchema, type Ref } from "@mikro-orm/core";
import type { Field } from "../core/catalogue/field.ts";
import type { ColumnReading } from "../core/catalogue/reading.ts";
import type { MendDocument } from "../core/mend/document.ts";
import type { PanelDocument } from "../core/panel/document.ts";
import type { SwatchDocument } from "../core/swatch/document.ts";

/** How a column of the shop's last file was read, for the next file. */
export type RememberedReading = ColumnReading & { heading: string };

/** One catalogue with its panels. */
export interface Shop {
  id: number;
  /** Its place in addresses. */
  slug: string;
  name: string;
  /** ISO 4217 code that prices are written in. */
  currency: string;
  /** The imported catalogue's fields, without computed ones. */
  fields: Field[];
  productCount: number;
  variantCount: number;
  createdAt: Date;
  reading: RememberedReading[];
  /** What is put right over the imported catalogue, and the number of times that it was saved. */
  mends: MendDocument;
  mendVersion: number;
  /** The swatch book, and the number of times that it was saved. */
  book: SwatchDocument;
  bookVersion: number;
  panels: Collection<Panel>;
}

/** A stretch of a shop's imported catalogue in binary form. A newer file takes the place of all of them at once. */
export interface CataloguePart {
  id: number;
  shop: Ref<Shop>;
  position: number;
  bytes: Uint8Array;
}

/** A picture of the swatch book, named by its content. */
export interface Picture {
  id: number;
  shop: Ref<Shop>;
  name: string;
  /** Media type. */
  type: string;
  bytes: Uint8Array;
}

/** A panel's document and the number of times that it was saved. */
export interface Panel {
  id: number;
  shop: Ref<Shop>;
  /** Its place in addresses; unique in the shop. */
  slug: string;
  position: number;
  version: number;
  document: PanelDocument;
  updatedAt: Date;
}

export const ShopSchema: EntitySchema<Shop> = new EntitySchema<Shop>({
  name: "Shop",
  tableName: "shop",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    slug: { type: "string", unique: true },
    name: { type: "string" },
    currency: { type: "string" },
    fields: { type: "json" },
    productCount: { type: "integer" },
    variantCount: { type: "integer" },
    createdAt: { type: "datetime" },
    reading: { type: "json" },
    mends: { type: "json" },
    mendVersion: { type: "integer" },
    book: { type: "json" },
    bookVersion: { type: "integer" },
    panels: { kind: "1:m", entity: () => PanelSchema, mappedBy: "shop", orderBy: { position: "asc" } },
  },
});

export const CataloguePartSchema: EntitySchema<CataloguePart> = new EntitySchema<CataloguePart>({
  name: "CataloguePart",
  tableName: "catalogue_part",
  uniques: [{ properties: ["shop", "position"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" },
    position: { type: "integer" },
    bytes: { type: "blob" },
  },
});

export const PanelSchema: EntitySchema<Panel> = new EntitySchema<Panel>({
  name: "Panel",
  tableName: "panel",
  uniques: [{ properties: ["shop", "slug"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" },
    slug: { type: "string" },
    position: { type: "integer" },
    version: { type: "integer" },
    document: { type: "json" },
    updatedAt: { type: "datetime" },
  },
});

export const PictureSchema: EntitySchema<Picture> = new EntitySchema<Picture>({
  name: "Picture",
  tableName: "picture",
  uniques: [{ properties: ["shop", "name"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" },
    name: { type: "string" },
    type: { type: "string" },
    bytes: { type: "blob" },
  },
});
