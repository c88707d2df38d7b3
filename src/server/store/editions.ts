import type { SqlEntityManager } from "@mikro-orm/libsql";
import { LRUCache } from "lru-cache";
import type { EditionSummary } from "../../core/api/edition.ts";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { readFolder } from "../../core/shop/archive/read-folder.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { writeDocuments } from "../../core/shop/archive/write-folder.ts";
import { eachDocument } from "../../core/shop/documents.ts";
import { shopPictures, withPicturesAt } from "../../core/shop/pictures.ts";
import { hashOf } from "../hash.ts";
import { HttpError } from "../http-error.ts";
import { joinParts, partsOf } from "./catalogue-parts.ts";
import { changeWithin } from "./documents.ts";
import { draftOf } from "./draft-source.ts";
import { type Content, ContentSchema, type Edition, EditionSchema, type Shop } from "./entities.ts";
import { loadBytes } from "./shops.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";
import { shopWithoutCatalogue, wholeShop } from "./whole-shops.ts";
import { wholeSource } from "./whole-source.ts";
import { write, yieldToEventLoop } from "./write.ts";

const catalogueFolder = "catalogue/";

/** By database connection, cached editions; they never change. */
const openedBy = new WeakMap<object, LRUCache<number, Promise<WholeShop>>>();

function openedIn(em: SqlEntityManager): LRUCache<number, Promise<WholeShop>> {
  const connection = em.getConnection();
  const opened = openedBy.get(connection) ?? new LRUCache({ max: 6 });
  openedBy.set(connection, opened);
  return opened;
}

const summaryOf = ({ n, note, createdAt }: Pick<Edition, "n" | "note" | "createdAt">): EditionSummary => ({
  n,
  note,
  createdAt: createdAt.toISOString(),
});

/** A shop's editions, newest first. */
export async function listEditions(em: SqlEntityManager, shop: Pick<Shop, "id">): Promise<EditionSummary[]> {
  const found = await em
    .fork()
    .find(EditionSchema, { shop: shop.id }, { fields: ["n", "note", "createdAt"], orderBy: { n: "desc" } });
  return found.map(summaryOf);
}

/**
 * Publishes the shop's present state. Content of earlier editions is stored once.
 * @throws Fault if nothing has changed
 */
export async function publish(em: SqlEntityManager, shop: Shop, note: string): Promise<EditionSummary> {
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
  return write(em, async (tx) => {
    const [last] = await tx.find(EditionSchema, { shop: shop.id }, { orderBy: { n: "desc" }, limit: 1 });
    if (last && JSON.stringify(last.files) === JSON.stringify(files))
      throw new HttpError(409, `Nothing has changed since edition ${last.n}, so there is nothing to publish.`);
    for (const [hash, content] of contents) {
      if ((await tx.count(ContentSchema, { hash })) === 0)
        await tx.insert<Content>(ContentSchema, { hash, bytes: Buffer.from(content) });
      await yieldToEventLoop();
    }
    const { name, currency, variantCount } = shop;
    const edition = { n: (last?.n ?? 0) + 1, note, createdAt: new Date(), files, name, currency, variantCount };
    await tx.insert<Edition>(EditionSchema, { shop: shop.id, ...edition });
    return summaryOf(edition);
  });
}

/** An edition by its number, or a shop's newest; undefined if there is none. */
async function findEdition(em: SqlEntityManager, shop: Pick<Shop, "id">, n?: number): Promise<Edition | undefined> {
  const where = n === undefined ? { shop: shop.id } : { shop: shop.id, n };
  const [found] = await em.fork().find<Edition>(EditionSchema, where, { orderBy: { n: "desc" }, limit: 1 });
  return found;
}

/** The whole shop of an edition. */
function openEdition(em: SqlEntityManager, edition: Edition): Promise<WholeShop> {
  const opened = openedIn(em);
  const known = opened.get(edition.id);
  if (known) return known;
  const read = readEdition(em, edition);
  opened.set(edition.id, read);
  read.catch(() => opened.delete(edition.id));
  return read;
}

async function readEdition(em: SqlEntityManager, { files }: Edition): Promise<WholeShop> {
  const hashes = [...new Set(Object.values(files))];
  const found = await em.fork().find<Content>(ContentSchema, { hash: { $in: hashes } });
  const contents = new Map(found.map(({ hash, bytes }) => [hash, new Uint8Array(bytes)]));
  const read = Object.entries(files).map(([path, hash]): [string, Uint8Array] => {
    const bytes = contents.get(hash);
    if (!bytes) throw new HttpError(500, `The file “${path}” of the edition is missing. Publish again.`);
    return [path, bytes];
  });
  const parts = read.filter(([path]) => path.startsWith(catalogueFolder)).map(([, bytes]) => bytes);
  return readFolder(
    new Map(read.filter(([path]) => !path.startsWith(catalogueFolder))),
    decodeCatalogue(joinParts(parts)),
  );
}

/** The source of an edition's pages. @param n the newest if absent */
export async function editionOf(
  em: SqlEntityManager,
  shop: StoredShopHead,
  n?: number,
): Promise<ShopSource | undefined> {
  const edition = await findEdition(em, shop, n);
  return edition && sourceOf(em, shop, edition);
}

function sourceOf(em: SqlEntityManager, shop: StoredShopHead, edition: Edition): ShopSource {
  const { id, n, name, currency, variantCount } = edition;
  return wholeSource({
    key: `edition ${id}`,
    edition: n,
    shop: { ...shop, name, currency, variantCount },
    open: () => openEdition(em, edition),
    placed: (document) => placed(document, shop.slug),
  });
}

const withPlaces = new WeakMap<object, object>();

/** An edition's document with the shop's addresses, cached: every page is drawn from several. */
function placed<D extends object>(document: D, slug: string): D {
  const known = withPlaces.get(document) ?? withPicturesAt(document, shopPictures(slug));
  withPlaces.set(document, known);
  // The cached value is the same document with other addresses.
  return known as D;
}

/** A state of a shop: its draft, or an edition by its number. @throws Fault if there is no such edition */
export async function stateOf(em: SqlEntityManager, shop: Shop, which: number | "draft"): Promise<WholeShop> {
  if (which === "draft") return wholeShop(em, shop);
  const edition = await findEdition(em, shop, which);
  if (!edition) throw noEdition(which);
  return openEdition(em, edition);
}

/** The source of the pages of a shop's state. @throws Fault if there is no such edition */
export async function sourceOfState(
  em: SqlEntityManager,
  shop: StoredShopHead,
  which: number | "draft",
): Promise<ShopSource> {
  if (which === "draft") return draftOf(em, shop);
  const source = await editionOf(em, shop, which);
  if (!source) throw noEdition(which);
  return source;
}

export const noEdition = (n: number): HttpError =>
  new HttpError(404, `This shop has no edition ${n}. Choose one of those under Editions.`);

/**
 * Restores an edition's documents in the draft, each as a step that can be undone. Newer panels and looks stay, as
 * does the catalogue.
 */
export async function restoreEdition(em: SqlEntityManager, shop: Shop, n: number): Promise<void> {
  const whole = await stateOf(em, shop, n);
  const words = `Restore edition ${n}`;
  await write(em, async (tx) => {
    for (const { kind, slug, document } of eachDocument(whole))
      await changeWithin(tx, shop, kind, slug, withPicturesAt(document, shopPictures(shop.slug)), words);
  });
}
