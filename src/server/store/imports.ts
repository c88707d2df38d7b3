import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { PastImport } from "../../core/api/shop.ts";
import { mendsKind } from "../../core/catalogue/mend/kind.ts";
import { swatchesKind } from "../../core/swatch/kind.ts";
import { HttpError } from "../http-error.ts";
import { bodyWithin, changeWithin } from "./documents.ts";
import { catalogueOf, type Import, insertParts } from "./shops.ts";
import {
  type CataloguePart,
  CataloguePartSchema,
  type PastCatalogue,
  PastCatalogueSchema,
} from "./tables/catalogue.ts";
import { type Shop, ShopSchema } from "./tables/shop.ts";
import { write } from "./write.ts";

/**
 * Replaces a shop's catalogue completely or not at all, and keeps the present one for a while. Documents stay as they
 * are.
 */
export const replaceCatalogue = (em: SqlEntityManager, shop: Shop, brought: Import): Promise<void> =>
  write(em, async (tx) => {
    const next = catalogueOf(brought);
    await keepPresent(tx, shop, brought.fileName ?? "A newer file", next.productCount);
    await tx.nativeDelete<CataloguePart>(CataloguePartSchema, { shop: shop.id });
    await insertParts(tx, shop, brought);
    await tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, next);
  });

/** Stores a shop's present catalogue, corrections and swatch book before the catalogue is replaced. */
async function keepPresent(tx: SqlEntityManager, { id }: Pick<Shop, "id">, words: string, nextCount: number) {
  const shop = await tx.findOneOrFail(ShopSchema, { id });
  const { fields, productCount, variantCount, reading, hash = null } = shop;
  const past = await tx.insert<PastCatalogue>(PastCatalogueSchema, {
    ...{ shop: id, replacedAt: new Date(), words, nextCount, fields, productCount, variantCount, reading, hash },
    mends: (await bodyWithin(tx, shop, mendsKind))?.document ?? mendsKind.fresh(""),
    swatches: (await bodyWithin(tx, shop, swatchesKind))?.document ?? swatchesKind.fresh(""),
  });
  await tx.execute(
    "insert into past_part (past_id, position, bytes) select ?, position, bytes from catalogue_part where shop_id = ?",
    [past, id],
  );
}

/** Imports that can be reverted, latest first. */
export async function listImports(em: SqlEntityManager, shop: Pick<Shop, "id">): Promise<PastImport[]> {
  const found = await em
    .fork()
    .find(
      PastCatalogueSchema,
      { shop: shop.id },
      { fields: ["replacedAt", "words", "productCount", "nextCount"], orderBy: { id: "desc" } },
    );
  return found.map(({ id, replacedAt, words, productCount, nextCount }) => ({
    ...{ id, at: replacedAt.toISOString(), words, before: productCount, after: nextCount },
  }));
}

/**
 * Reverts an import: restores the catalogue, and as steps that can be undone its corrections and swatches. The
 * replaced state is kept in turn.
 * @throws HttpError if there is no such import
 */
export const revertImport = (em: SqlEntityManager, shop: Shop, id: number): Promise<void> =>
  write(em, async (tx) => {
    const past = Number.isSafeInteger(id) ? await tx.findOne(PastCatalogueSchema, { id, shop: shop.id }) : null;
    if (!past) throw new HttpError(404, "This import can’t be undone any more. Imports can be undone for 30 days.");
    const { fields, productCount, variantCount, reading, hash = null } = past;
    const words = `Undo import: ${past.words}`;
    await keepPresent(tx, shop, words, productCount);
    await tx.nativeDelete<CataloguePart>(CataloguePartSchema, { shop: shop.id });
    await tx.execute(
      "insert into catalogue_part (shop_id, position, bytes) select ?, position, bytes from past_part where past_id = ?",
      [shop.id, past.id],
    );
    await tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, { fields, productCount, variantCount, reading, hash });
    await changeWithin(tx, shop, mendsKind, undefined, past.mends, words);
    await changeWithin(tx, shop, swatchesKind, undefined, past.swatches, words);
  });
