import type { SqlEntityManager } from "@mikro-orm/libsql";
import { LRUCache } from "lru-cache";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { readFolder } from "../../core/shop/archive/read-folder.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { writeDocuments } from "../../core/shop/archive/write-folder.ts";
import { shopPictures, withPicturesAt } from "../../core/shop/pictures.ts";
import type { ShopState } from "../cache-key.ts";
import { hashOf } from "../hash.ts";
import { HttpError } from "../http-error.ts";
import { joinParts, partsOf } from "./catalogue-parts.ts";
import { type Content, ContentSchema, type Shop, type Snapshot } from "./entities.ts";
import { loadBytes } from "./shops.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";
import { shopWithoutCatalogue } from "./whole-shops.ts";
import { wholeSource } from "./whole-source.ts";
import { yieldToEventLoop } from "./write.ts";

const catalogueFolder = "catalogue/";

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
  contents: ReadonlyMap<string, Uint8Array>;
}

/** Takes a copy of a shop's present state. */
export async function takeSnapshot(em: SqlEntityManager, shop: Shop): Promise<TakenSnapshot> {
  const bytes = await loadBytes(em, shop);
  const whole = { ...(await shopWithoutCatalogue(em, shop)), catalogue: shop };
  const contents = new Map<string, Uint8Array>();
  const files: Record<string, string> = {};
  const put = (path: string, content: Uint8Array) => {
    const hash = hashOf(content);
    contents.set(hash, content);
    files[path] = hash;
  };
  for (const [path, content] of writeDocuments(whole)) put(path, content);
  await yieldToEventLoop();
  for (const [at, part] of partsOf(bytes).entries()) put(`${catalogueFolder}${String(at).padStart(5, "0")}`, part);
  const { id, name, currency, variantCount } = shop;
  return { row: { shop: id, files, name, currency, variantCount, createdAt: new Date() }, contents };
}

/** Whether two snapshots have the same content. */
export const isSameSnapshot = (a: Pick<Snapshot, "files">, b: Pick<Snapshot, "files">): boolean =>
  JSON.stringify(a.files) === JSON.stringify(b.files);

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

async function readSnapshot(em: SqlEntityManager, { files }: Snapshot): Promise<WholeShop> {
  const hashes = [...new Set(Object.values(files))];
  const found = await em.fork().find<Content>(ContentSchema, { hash: { $in: hashes } });
  const contents = new Map(found.map(({ hash, bytes }) => [hash, new Uint8Array(bytes)]));
  const read = Object.entries(files).map(([path, hash]): [string, Uint8Array] => {
    const bytes = contents.get(hash);
    if (!bytes) throw new HttpError(500, `The file “${path}” of this copy is missing. Publish or share it again.`);
    return [path, bytes];
  });
  const parts = read.filter(([path]) => path.startsWith(catalogueFolder)).map(([, bytes]) => bytes);
  return readFolder(
    new Map(read.filter(([path]) => !path.startsWith(catalogueFolder))),
    decodeCatalogue(joinParts(parts)),
  );
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
    placed: (document) => placed(document, shop.slug),
  });
};

const withPlaces = new WeakMap<object, object>();

/** A snapshot's document with the shop's addresses, cached: every page is drawn from several. */
function placed<D extends object>(document: D, slug: string): D {
  const known = withPlaces.get(document) ?? withPicturesAt(document, shopPictures(slug));
  withPlaces.set(document, known);
  // The cached value is the same document with other addresses.
  return known as D;
}
