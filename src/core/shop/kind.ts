import type { DocumentKind } from "../document/kind.ts";
import { defaultLimits } from "../settings/band.ts";
import { settingDifferences } from "./differences.ts";
import { type ShopDocument, shopFormat, shopSchema } from "./shop-schema.ts";

/** The settings of a whole shop. */
export const shopKind: DocumentKind<ShopDocument, false, "shop"> = {
  name: "shop",
  what: "shop’s settings",
  title: "A shop’s folder: its name, settings and columns",
  heading: "Shop",
  member: "shop",
  inManifest: true,
  many: false,
  format: shopFormat,
  schema: shopSchema,
  migrations: {},
  fresh: () => ({ format: shopFormat, limits: { ...defaultLimits }, languages: [] }),
  touches: [],
  differences: settingDifferences,
};
