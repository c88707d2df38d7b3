import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { Removed } from "../../core/api/shop.ts";
import type { DocumentKind } from "../../core/document/kind.ts";
import { HttpError, noDocument, noShop } from "../http-error.ts";
import type { ShopRef } from "./documents.ts";
import { type PastCatalogue, PastCatalogueSchema } from "./tables/catalogue.ts";
import { type Document, DocumentSchema } from "./tables/document.ts";
import { type Shop, ShopSchema } from "./tables/shop.ts";
import { write } from "./write.ts";

/** Days for which removed things can be restored. */
export const retentionDays = 30;
const msPerDay = 86_400_000;

/** Includes removed documents. */
const removedToo = { filters: { there: false } } as const;

/** Removes a shop's document; it can be restored. @throws HttpError if there is none */
export const removeDocument = (em: SqlEntityManager, shop: ShopRef, kind: DocumentKind<object>, slug: string) =>
  write(em, async (tx) => {
    const found = await tx.findOne(DocumentSchema, { shop: shop.id, kind: kind.name, slug }, { fields: ["id"] });
    if (!found) throw noDocument(kind.what, slug);
    await tx.nativeUpdate<Document>(DocumentSchema, { id: found.id }, { removedAt: new Date() });
  });

/** Restores a removed document at its place. @throws HttpError if there is none */
export const restoreDocument = (em: SqlEntityManager, shop: ShopRef, kind: DocumentKind<object>, slug: string) =>
  write(em, async (tx) => {
    const where = { shop: shop.id, kind: kind.name, slug };
    const found = await tx.findOne(DocumentSchema, where, { fields: ["id"], ...removedToo });
    if (!found) throw noDocument(kind.what, slug);
    await tx.nativeUpdate<Document>(DocumentSchema, { id: found.id }, { removedAt: null }, removedToo);
  });

/** Reorders a shop's documents of a kind. @param slugs all of them @throws HttpError if one is missing or unknown */
export const orderDocuments = (
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<object>,
  slugs: readonly string[],
) =>
  write(em, async (tx) => {
    const found = await tx.find(DocumentSchema, { shop: shop.id, kind: kind.name }, { fields: ["id", "slug"] });
    const known = new Set(found.map(({ slug }) => slug));
    if (slugs.length !== known.size || slugs.some((slug) => !known.has(slug)))
      throw new HttpError(409, `The list of ${kind.what}s has changed. Reload the page and move it again.`);
    for (const { id, slug } of found)
      await tx.nativeUpdate<Document>(DocumentSchema, { id }, { position: slugs.indexOf(slug) });
  });

/** Changes a shop's name or currency. Its slug stays. */
export const changeShop = (em: SqlEntityManager, shop: ShopRef, changes: Partial<Pick<Shop, "name" | "currency">>) =>
  write(em, (tx) => tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, changes));

/** Removes a shop; it can be restored. Its pages are gone meanwhile. */
export const removeShop = (em: SqlEntityManager, shop: ShopRef) =>
  write(em, (tx) => tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, { removedAt: new Date() }));

/** Restores a removed shop. @throws HttpError if there is none */
export const restoreShop = (em: SqlEntityManager, slug: string) =>
  write(em, async (tx) => {
    const found = await tx.findOne(ShopSchema, { slug }, { fields: ["id"], ...removedToo });
    if (!found) throw noShop(slug);
    await tx.nativeUpdate<Shop>(ShopSchema, { id: found.id }, { removedAt: null }, removedToo);
  });

/** The removed documents, latest first. */
const told = { fields: ["slug", "name", "removedAt"], orderBy: { removedAt: "desc" }, ...removedToo } as const;
const tell = ({
  slug,
  name,
  removedAt,
}: Pick<Shop, "slug" | "name"> & { removedAt?: Date | null | undefined }): Removed => ({
  slug,
  name,
  removedAt: removedAt?.toISOString() ?? "",
});

/** Removed shops that can be restored, latest first. */
export const removedShops = async (em: SqlEntityManager): Promise<Removed[]> =>
  (await em.fork().find(ShopSchema, { removedAt: { $ne: null } }, told)).map(tell);

/** A shop's removed documents of a kind that can be restored, latest first. */
export async function removedDocuments(
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<object>,
): Promise<Removed[]> {
  const where = { shop: shop.id, kind: kind.name, removedAt: { $ne: null } };
  return (await em.fork().find(DocumentSchema, where, told)).map(tell);
}

/** Deletes permanently what was removed too long ago. */
export const purgeRemoved = (em: SqlEntityManager, now = new Date()) =>
  write(em, async (tx) => {
    const before = { removedAt: { $ne: null, $lt: new Date(now.getTime() - retentionDays * msPerDay) } };
    const shops = await tx.find(ShopSchema, before, { fields: ["id"], ...removedToo });
    for (const { id } of shops) await tx.nativeDelete<Shop>(ShopSchema, { id }, removedToo);
    await tx.nativeDelete<PastCatalogue>(PastCatalogueSchema, { replacedAt: { $lt: before.removedAt.$lt } });
    const documents = await tx.find(DocumentSchema, before, { fields: ["id"], ...removedToo });
    for (const { id } of documents) await tx.nativeDelete<Document>(DocumentSchema, { id }, removedToo);
  });
