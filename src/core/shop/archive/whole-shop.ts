import type { Catalogue } from "../../catalogue/catalogue.ts";
import type { RememberedReading } from "../../catalogue/reading-schema.ts";
import type { ShopDocuments } from "../documents.ts";

/** The data of a shop besides its documents. */
export interface ShopHead {
  name: string;
  /** ISO 4217 code. */
  currency: string;
  /** As it was imported, without its corrections. */
  catalogue: Catalogue;
  /** How its last file was read. */
  reading: readonly RememberedReading[];
  /** By name. Documents refer to them as `/pictures/shop/NAME`, whatever the shop's slug is. */
  pictures: ReadonlyMap<string, Uint8Array>;
}

/** A complete shop: the content of its folder, of an edition, and of each side of a comparison. */
export type WholeShop = ShopHead & ShopDocuments;
