import { groundOf } from "../../core/look/ground.ts";
import { lookKind } from "../../core/look/kind.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { plainLook } from "../../core/panel/look/page-look.ts";
import { shopKind } from "../../core/shop/kind.ts";
import type { ShopDocument } from "../../core/shop/shop-schema.ts";
import type { ShopSource } from "./source.ts";

/** The look of a shop's pages; an empty one if it has none, or it is gone. */
export async function shopLook(
  source: ShopSource,
  { look }: Pick<ShopDocument, "look">,
): Promise<Pick<LookDocument, "values" | "dark" | "styles" | "css">> {
  return (look === undefined ? undefined : (await source.read(lookKind, look))?.document) ?? plainLook;
}

/** The background of the shop's panels. */
export async function shopGround(source: ShopSource): Promise<string> {
  const settings = (await source.read(shopKind))?.document;
  return groundOf(await shopLook(source, settings ?? {}));
}
