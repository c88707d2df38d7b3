import { EntitySchema } from "@mikro-orm/core";
import type { Field } from "../../../core/catalogue/field.ts";
import type { RememberedReading } from "../../../core/catalogue/reading-schema.ts";

/** A shop: a catalogue with a name and a currency. Everything else is a document. */
export interface Shop {
  id: number;
  /** Its place in addresses. */
  slug: string;
  name: string;
  /** ISO 4217 code of its prices. */
  currency: string;
  /** The imported catalogue's fields, without computed ones. */
  fields: Field[];
  productCount: number;
  variantCount: number;
  createdAt: Date;
  reading: RememberedReading[];
  /** SHA-256 of the imported file, in hex. */
  hash?: string | null;
  /** Time of removal; it can be restored for a while. */
  removedAt?: Date | null;
  /** Days for which lines about visits are kept; 0 takes none. */
  visitDays: number;
}

/** Hides removed documents unless requested. */
export const there = { name: "there", cond: { removedAt: null }, default: true };

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
    hash: { type: "string", nullable: true },
    removedAt: { type: "datetime", nullable: true },
    visitDays: { type: "integer" },
  },
  filters: { there },
});

/** The column of the shop that a row belongs to. */
export const ofShop = { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" } as const;
