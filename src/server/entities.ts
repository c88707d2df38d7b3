import { type Collection, EntitySchema, type Ref } from "@mikro-orm/core";
import type { Field } from "../core/catalogue/field.ts";
import type { PanelDocument } from "../core/panel/document.ts";

/** One catalogue with its panels. */
export interface Shop {
  id: number;
  /** Its place in addresses. */
  slug: string;
  name: string;
  /** ISO 4217 code that prices are written in. */
  currency: string;
  /** The catalogue's stored fields, in the order of the products' cells. */
  fields: Field[];
  productCount: number;
  variantCount: number;
  createdAt: Date;
  panels: Collection<Panel>;
}

/** One product of a catalogue as its source states it: a list of raw cells a variant, in the order of the shop's fields. */
export interface Product {
  id: number;
  shop: Ref<Shop>;
  /** Place in the catalogue, from 0. */
  position: number;
  ref: string;
  rows: string[][];
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
    panels: { kind: "1:m", entity: () => PanelSchema, mappedBy: "shop", orderBy: { position: "asc" } },
  },
});

export const ProductSchema: EntitySchema<Product> = new EntitySchema<Product>({
  name: "Product",
  tableName: "product",
  uniques: [{ properties: ["shop", "position"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" },
    position: { type: "integer" },
    ref: { type: "string" },
    rows: { type: "json" },
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
