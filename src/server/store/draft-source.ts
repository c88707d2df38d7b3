import type { SqlEntityManager } from "@mikro-orm/libsql";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { firstDocument, readDocument, versionOf } from "./documents.ts";
import { loadBytes } from "./shops.ts";
import { draftKey, type ShopSource, type StoredShopHead } from "./source.ts";

/** The draft of a shop. */
export const draftOf = (em: SqlEntityManager, shop: StoredShopHead): ShopSource => ({
  key: draftKey(shop),
  shop,
  state: "draft",
  read: (kind, slug) => readDocument(em, shop, kind, slug),
  version: (kind, slug) => versionOf(em, shop, kind, slug),
  first: (kind) => firstDocument(em, shop, kind),
  catalogue: async () => decodeCatalogue(await loadBytes(em, shop)),
});
