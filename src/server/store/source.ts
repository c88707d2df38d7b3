import type { SqlEntityManager } from "@mikro-orm/libsql";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import type { DocumentKind } from "../../core/document/kind.ts";
import { firstDocument, readDocument, versionOf } from "./documents.ts";
import type { Shop } from "./entities.ts";
import { loadBytes } from "./shops.ts";

/** Data of a shop wherever its pages come from. */
export type StoredShopHead = Pick<Shop, "id" | "slug" | "name" | "currency" | "variantCount">;

/** Where a shop's pages come from: the draft that is worked on, or an edition, which never changes. */
export interface ShopSource {
  /** Names it among all that are kept ready. */
  readonly key: string;
  readonly shop: StoredShopHead;
  /** Number of the edition; undefined for the draft. */
  readonly edition: number | undefined;
  /** A document, and how often it was saved; undefined if there is none at this place. */
  read<D extends object>(kind: DocumentKind<D>, slug?: string): Promise<{ version: number; document: D } | undefined>;
  /** How often a document was saved, without reading it; 0 when it never was. */
  version(kind: DocumentKind<object>, slug?: string): Promise<number>;
  /** The first document of a kind, by its place in addresses. */
  first(kind: DocumentKind<object>): Promise<string | undefined>;
  /** As it was imported, without corrections. */
  catalogue(): Promise<Catalogue>;
}

/** The name of a shop's draft among sources. */
export const draftKey = ({ id }: Pick<Shop, "id">): string => `draft ${id}`;
export const isDraft = (key: string): boolean => key.startsWith("draft ");

/** The shop as it is worked on. */
export const draftOf = (em: SqlEntityManager, shop: StoredShopHead): ShopSource => ({
  key: draftKey(shop),
  shop,
  edition: undefined,
  read: (kind, slug) => readDocument(em, shop, kind, slug),
  version: (kind, slug) => versionOf(em, shop, kind, slug),
  first: (kind) => firstDocument(em, shop, kind),
  catalogue: async () => decodeCatalogue(await loadBytes(em, shop)),
});
