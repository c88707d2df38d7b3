import type { Catalogue } from "../../catalogue/catalogue.ts";
import type { RememberedReading } from "../../catalogue/reading-schema.ts";
import type { ShopDocuments } from "../documents.ts";

/** The data of a shop beside its documents. */
export interface ShopHead {
  name: string;
  /** ISO 4217 code. */
  currency: string;
  /** As it was imported, without its corrections. */
  catalogue: Catalogue;
  /** How its last file was read. */
  reading: readonly RememberedReading[];
  /** By name. Documents call them `/pictures/shop/NAME`, whatever the shop's place in addresses is. */
  pictures: ReadonlyMap<string, Uint8Array>;
}

/** All that a shop is: what its folder holds, the content of an edition, and the two sides of a comparison. */
export type WholeShop = ShopHead & ShopDocuments;
