import { emptyLook } from "../../core/look/empty-look.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useLookDocuments, useLookStores } from "../shell/use-looks.ts";
import { usePanel } from "./bench-context.ts";

/** Used if neither the panel nor the shop has a look. */
const noLook = emptyLook("");

/** The look of the open panel, its own or the shop's; undefined while loading. */
export function useDrawnIn(): LookDocument | undefined {
  const { shop } = useOpenShop();
  const ofShop = useShopSettings((settings) => settings.look);
  const slug = usePanel((state) => state.document.look) ?? ofShop;
  const looks = useLookDocuments(useLookStores(shop.slug, slug === undefined ? [] : [slug]));
  return slug === undefined ? noLook : looks?.[slug];
}
