import type { DocumentKind } from "../document/kind.ts";
import { defaultLimits } from "../settings/band.ts";
import { type ShopDocument, shopFormat, shopSchema } from "./shop-schema.ts";

/** What holds for all panels and pages of a shop. */
export const shopKind: DocumentKind<ShopDocument> = {
  name: "shop",
  what: "shop’s settings",
  many: false,
  format: shopFormat,
  schema: shopSchema,
  migrations: {},
  fresh: () => ({ format: shopFormat, limits: { ...defaultLimits }, languages: [] }),
  touches: [],
};
