import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import type { DocumentKind } from "../../core/document/kind.ts";
import type { ShopState } from "../cache-key.ts";
import type { Shop } from "./tables/shop.ts";

/** A shop's data, whatever the source of its pages. */
export type StoredShopHead = Pick<Shop, "id" | "slug" | "name" | "currency" | "variantCount">;

/** The source of a shop's pages: the draft, or a snapshot, which never changes. */
export interface ShopSource {
  /** Its name in caches. */
  readonly key: string;
  readonly shop: StoredShopHead;
  /** Requests of its pages are answered from the same state. */
  readonly state: ShopState;
  /** A document and its version; undefined if there is none with this slug. */
  read<D extends object>(kind: DocumentKind<D>, slug?: string): Promise<{ version: number; document: D } | undefined>;
  /** Version of a document, without reading it; 0 if never saved. */
  version(kind: DocumentKind<object>, slug?: string): Promise<number>;
  /** The slug of the first document of a kind. */
  first(kind: DocumentKind<object>): Promise<string | undefined>;
  /** As imported, without corrections. */
  catalogue(): Promise<Catalogue>;
}

/** The cache name of a shop's draft. */
export const draftKey = ({ id }: Pick<Shop, "id">): string => `draft ${id}`;
export const isDraft = (key: string): boolean => key.startsWith("draft ");
