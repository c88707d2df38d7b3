import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { KeptPicture } from "./picture-of.ts";
import { type Picture, PictureSchema } from "./tables/picture.ts";
import type { Shop } from "./tables/shop.ts";
import { write } from "./write.ts";

/** Stores a picture and returns its address. */
export async function keepPicture(
  em: SqlEntityManager,
  shop: Pick<Shop, "id" | "slug">,
  { name, type, bytes: content }: KeptPicture,
): Promise<string> {
  await write(em, async (tx) => {
    const known = await tx.count<Picture>(PictureSchema, { shop: shop.id, name });
    if (known === 0)
      await tx.insert<Picture>(PictureSchema, { shop: shop.id, name, type, bytes: Buffer.from(content) });
  });
  return `/pictures/${shop.slug}/${name}`;
}

/** A picture by its shop's slug and its own name. */
export const findPicture = (em: SqlEntityManager, shop: string, name: string): Promise<Picture | null> =>
  em.fork().findOne<Picture>(PictureSchema, { shop: { slug: shop }, name });
