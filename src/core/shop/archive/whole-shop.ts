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

/** Documents call a shop's pictures by addresses in which the shop stands; in a whole shop it does not. */
const address = /\/pictures\/[\p{L}\p{N}_%-]+\/([0-9a-f]{64}\.(?:svg|png|jpg|webp))/gu;

/** A document with its pictures called as a whole shop calls them. */
export const withoutPlace = <D>(document: D): D =>
  JSON.parse(JSON.stringify(document).replace(address, "/pictures/shop/$1"));

/** The other way round of {@link withoutPlace}. @param slug of the shop */
export const withPlace = <D>(document: D, slug: string): D =>
  JSON.parse(
    JSON.stringify(document).replace(
      /\/pictures\/shop\/([0-9a-f]{64}\.(?:svg|png|jpg|webp))/g,
      (_, name: string) => `/pictures/${slug}/${name}`,
    ),
  );
