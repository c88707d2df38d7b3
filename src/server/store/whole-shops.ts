import type { SqlEntityManager } from "@mikro-orm/libsql";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { eachDocument, fetchDocuments, type Named } from "../../core/shop/documents.ts";
import type { AnyKind } from "../../core/shop/kinds.ts";
import { ownPictures, shopPictures, withPicturesAt } from "../../core/shop/pictures.ts";
import { HttpError } from "../http-error.ts";
import { insertDocument, listDocuments, readDocument } from "./documents.ts";
import { type KeptPicture, pictureOf } from "./picture-of.ts";
import { type Import, insertShop, loadBytes } from "./shops.ts";
import { type Picture, PictureSchema } from "./tables/picture.ts";
import type { Shop } from "./tables/shop.ts";
import { write, yieldToEventLoop } from "./write.ts";

/** All that a shop is now. */
export const wholeShop = async (em: SqlEntityManager, shop: Shop): Promise<WholeShop> => ({
  ...(await shopWithoutCatalogue(em, shop)),
  catalogue: decodeCatalogue(await loadBytes(em, shop)),
});

/** A shop's present state without its catalogue, which is most of it. */
export async function shopWithoutCatalogue(em: SqlEntityManager, shop: Shop): Promise<Omit<WholeShop, "catalogue">> {
  const one = async (kind: AnyKind): Promise<object> =>
    withPicturesAt((await readDocument(em, shop, kind))?.document ?? kind.fresh(""), ownPictures);
  const many = async (kind: AnyKind): Promise<Named<object>[]> => {
    const found = await Promise.all(
      (await listDocuments(em, shop, kind)).map(async ({ slug }) => ({
        slug,
        read: await readDocument(em, shop, kind, slug),
      })),
    );
    return found.flatMap(({ slug, read }) =>
      read ? [{ slug, document: withPicturesAt(read.document, ownPictures) }] : [],
    );
  };
  const pictures = await em.fork().find<Picture>(PictureSchema, { shop: shop.id }, { orderBy: { name: "asc" } });
  return {
    name: shop.name,
    currency: shop.currency,
    reading: shop.reading,
    ...(await fetchDocuments((kind) => (kind.many ? many(kind) : one(kind)))),
    pictures: new Map(pictures.map(({ name, bytes: content }) => [name, new Uint8Array(content)])),
  };
}

/**
 * The pictures of a whole shop in stored form.
 * @throws HttpError for one that is not a picture, or doesn't match its name
 */
export const picturesOf = ({ pictures }: Pick<WholeShop, "pictures">): KeptPicture[] =>
  [...pictures].map(([name, bytes]) => {
    const kept = pictureOf(bytes);
    if (kept.name !== name)
      throw new HttpError(422, `The content of pictures/${name} doesn’t match its name. Import the original picture.`);
    return kept;
  });

/**
 * Creates a shop from a whole one, completely or not at all. Its documents keep their slugs.
 * @param pictures see {@link picturesOf}
 */
export async function createWhole(
  em: SqlEntityManager,
  whole: Omit<WholeShop, "catalogue" | "pictures">,
  catalogue: Import,
  pictures: readonly KeptPicture[],
): Promise<Shop> {
  return write(em, async (tx) => {
    const { name: called, currency, reading } = whole;
    const shop = await insertShop(tx, { ...catalogue, name: called, currency, reading });
    for (const { name, type, bytes } of pictures)
      await tx.insert<Picture>(PictureSchema, { shop: shop.id, name, type, bytes: Buffer.from(bytes) });
    for (const { kind, slug, document } of eachDocument(whole)) {
      await insertDocument(tx, shop, kind, withPicturesAt(document, shopPictures(shop.slug)), slug);
      await yieldToEventLoop();
    }
    return shop;
  });
}
