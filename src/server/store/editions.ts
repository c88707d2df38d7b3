import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { EditionSummary } from "../../core/api/edition.ts";
import type { PanelHeights } from "../../core/api/panel-heights.ts";
import { type EditionManifest, editionFormat } from "../../core/shop/archive/edition-manifest.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { eachDocument } from "../../core/shop/documents.ts";
import { shopPictures, withPicturesAt } from "../../core/shop/pictures.ts";
import { HttpError } from "../http-error.ts";
import { isSameFiles, type SnapshotFiles } from "../published/snapshot-files.ts";
import { changeWithin } from "./documents.ts";
import { draftOf } from "./draft-source.ts";
import { contentsOf, openSnapshot, putContents, sourceOfSnapshot, takeSnapshot } from "./snapshots.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";
import type { Shop } from "./tables/shop.ts";
import { type Edition, EditionSchema } from "./tables/snapshot.ts";
import { wholeShop } from "./whole-shops.ts";
import { write } from "./write.ts";

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
 * @throws HttpError if nothing has changed
 */
export async function publish(em: SqlEntityManager, shop: Shop, note: string): Promise<EditionSummary> {
  const { row, contents } = await takeSnapshot(em, shop);
  return write(em, async (tx) => {
    const [last] = await tx.find(EditionSchema, { shop: shop.id }, { orderBy: { n: "desc" }, limit: 1 });
    if (last && isSameFiles(last.files, row.files))
      throw new HttpError(409, `Nothing has changed since edition ${last.n}, so there is nothing to publish.`);
    await putContents(tx, contents);
    const edition = { ...row, n: (last?.n ?? 0) + 1, note };
    await tx.insert<Edition>(EditionSchema, edition);
    return summaryOf(edition);
  });
}

/** An edition by its number, or a shop's newest; undefined if there is none. */
async function findEdition(em: SqlEntityManager, shop: Pick<Shop, "id">, n?: number): Promise<Edition | undefined> {
  const where = n === undefined ? { shop: shop.id } : { shop: shop.id, n };
  const [found] = await em.fork().find<Edition>(EditionSchema, where, { orderBy: { n: "desc" }, limit: 1 });
  return found;
}

const keyOf = ({ id }: Pick<Edition, "id">): string => `edition ${id}`;

/** The source of an edition's pages. @param n the newest if absent */
export async function editionOf(
  em: SqlEntityManager,
  shop: StoredShopHead,
  n?: number,
): Promise<ShopSource | undefined> {
  const edition = await findEdition(em, shop, n);
  return edition && sourceOfSnapshot(em, shop, { key: keyOf(edition), state: edition.n, snapshot: edition });
}

/** An edition as it is written into files; the newest without a number. @throws HttpError if there is none */
export async function editionAsFiles(
  em: SqlEntityManager,
  shop: Pick<Shop, "id" | "slug">,
  n?: number,
): Promise<{ manifest: EditionManifest; contents: SnapshotFiles["contents"] }> {
  const found = await findEdition(em, shop, n);
  if (!found)
    throw n === undefined ? new HttpError(404, `“${shop.slug}” has no edition yet. Publish it first.`) : noEdition(n);
  const { note, name, currency, variantCount, createdAt, files } = found;
  const head = {
    format: editionFormat,
    shop: shop.slug,
    edition: found.n,
    note,
    name,
    currency,
    variantCount,
  } as const;
  return {
    manifest: { ...head, createdAt: createdAt.toISOString(), files },
    contents: await contentsOf(em, files),
  };
}

/** A state of a shop: its draft, or an edition by its number. @throws HttpError if there is no such edition */
export async function stateOf(em: SqlEntityManager, shop: Shop, which: number | "draft"): Promise<WholeShop> {
  if (which === "draft") return wholeShop(em, shop);
  const edition = await findEdition(em, shop, which);
  if (!edition) throw noEdition(which);
  return openSnapshot(em, keyOf(edition), edition);
}

/** The measured heights of an edition’s panels; undefined before they are measured. @throws HttpError if there is none */
export async function heightsOfEdition(
  em: SqlEntityManager,
  shop: Pick<Shop, "id">,
  n: number,
): Promise<PanelHeights["heights"] | undefined> {
  const edition = await findEdition(em, shop, n);
  if (!edition) throw noEdition(n);
  return edition.heights ?? undefined;
}

/** Stores the measured heights of an edition’s panels. @throws HttpError if there is no such edition */
export async function storeHeights(
  em: SqlEntityManager,
  shop: Pick<Shop, "id">,
  n: number,
  heights: PanelHeights["heights"],
): Promise<void> {
  const stored = await write(em, (tx) => tx.nativeUpdate(EditionSchema, { shop: shop.id, n }, { heights }));
  if (stored === 0) throw noEdition(n);
}

/** The source of the pages of a shop's state. @throws HttpError if there is no such edition */
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
