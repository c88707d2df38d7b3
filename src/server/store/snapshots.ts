import type { SqlEntityManager } from "@mikro-orm/libsql";
import { LRUCache } from "lru-cache";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import type { ShopState } from "../cache-key.ts";
import { HttpError } from "../http-error.ts";
import { openFiles, type SnapshotFiles, snapshotFiles } from "../published/snapshot-files.ts";
import { loadBytes } from "./shops.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";
import type { Shop } from "./tables/shop.ts";
import { type Content, ContentSchema, type Snapshot } from "./tables/snapshot.ts";
import { shopWithoutCatalogue } from "./whole-shops.ts";
import { wholeSource, withShopPictures } from "./whole-source.ts";
import { yieldToEventLoop } from "./write.ts";

/** By database connection, cached snapshots; they never change. */
const openedBy = new WeakMap<object, LRUCache<string, Promise<WholeShop>>>();

function openedIn(em: SqlEntityManager): LRUCache<string, Promise<WholeShop>> {
  const connection = em.getConnection();
  const opened = openedBy.get(connection) ?? new LRUCache({ max: 6 });
  openedBy.set(connection, opened);
  return opened;
}

/** The row of a snapshot, without what each kind of snapshot adds, and the contents by their hash. */
export interface TakenSnapshot {
  row: Pick<Snapshot, "files" | "name" | "currency" | "variantCount" | "createdAt"> & { shop: number };
  contents: SnapshotFiles["contents"];
}

/** Takes a copy of a shop's present state. */
export async function takeSnapshot(em: SqlEntityManager, shop: Shop): Promise<TakenSnapshot> {
  const bytes = await loadBytes(em, shop);
  const whole = { ...(await shopWithoutCatalogue(em, shop)), catalogue: shop };
  await yieldToEventLoop();
  const { files, contents } = snapshotFiles(whole, bytes);
  const { id, name, currency, variantCount } = shop;
  return { row: { shop: id, files, name, currency, variantCount, createdAt: new Date() }, contents };
}

/** Stores the contents of a snapshot, except those that are stored already. */
export async function putContents(tx: SqlEntityManager, contents: TakenSnapshot["contents"]): Promise<void> {
  for (const [hash, content] of contents) {
    if ((await tx.count(ContentSchema, { hash })) === 0)
      await tx.insert<Content>(ContentSchema, { hash, bytes: Buffer.from(content) });
    await yieldToEventLoop();
  }
}

/** The whole shop of a snapshot. @param key its name in caches */
export function openSnapshot(em: SqlEntityManager, key: string, snapshot: Snapshot): Promise<WholeShop> {
  const opened = openedIn(em);
  const known = opened.get(key);
  if (known) return known;
  const read = readSnapshot(em, snapshot);
  opened.set(key, read);
  read.catch(() => opened.delete(key));
  return read;
}

const readSnapshot = async (em: SqlEntityManager, { files }: Snapshot): Promise<WholeShop> => {
  const contents = await contentsOf(em, files);
  return openFiles(
    new Map(Object.entries(files).map(([path, hash]) => [path, contents.get(hash) ?? new Uint8Array()])),
  );
};

/** The contents of a snapshot's files by their hash. @throws HttpError if one is missing */
export async function contentsOf(
  em: SqlEntityManager,
  files: Snapshot["files"],
): Promise<ReadonlyMap<string, Uint8Array>> {
  const found = await em.fork().find<Content>(ContentSchema, { hash: { $in: [...new Set(Object.values(files))] } });
  const contents = new Map(found.map(({ hash, bytes }) => [hash, new Uint8Array(bytes)]));
  const [gone] = Object.entries(files).find(([, hash]) => !contents.has(hash)) ?? [];
  if (gone !== undefined)
    throw new HttpError(500, `The file “${gone}” of this copy is missing. Publish or share it again.`);
  return contents;
}

/** The source of a snapshot's pages. @param key its name in caches */
export const sourceOfSnapshot = (
  em: SqlEntityManager,
  shop: StoredShopHead,
  { key, state, snapshot }: { key: string; state: ShopState; snapshot: Snapshot },
): ShopSource => {
  const { name, currency, variantCount } = snapshot;
  return wholeSource({
    key,
    state,
    shop: { ...shop, name, currency, variantCount },
    open: () => openSnapshot(em, key, snapshot),
    placed: (document) => withShopPictures(document, shop.slug),
  });
};
