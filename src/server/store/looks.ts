import type { SqlEntityManager } from "@mikro-orm/libsql";
import { groundOf } from "../../core/look/ground.ts";
import { lookKind } from "../../core/look/kind.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { plainLook } from "../../core/look/page-look.ts";
import { shopKind } from "../../core/shop/kind.ts";
import type { ShopDocument } from "../../core/shop/shop-schema.ts";
import { readDocument, type ShopRef } from "./documents.ts";

/** The look of a shop's pages; one that sets nothing where it has none, or it is gone. */
export async function shopLook(
  em: SqlEntityManager,
  shop: ShopRef,
  { look }: Pick<ShopDocument, "look">,
): Promise<Pick<LookDocument, "values" | "dark" | "styles" | "css">> {
  return (look === undefined ? undefined : (await readDocument(em, shop, lookKind, look))?.document) ?? plainLook;
}

/** The ground that the shop's panels stand on. */
export async function shopGround(em: SqlEntityManager, shop: ShopRef): Promise<string> {
  const settings = (await readDocument(em, shop, shopKind))?.document;
  return groundOf(await shopLook(em, shop, settings ?? {}));
}
