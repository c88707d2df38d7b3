import { fallbackLanguage } from "./languages.ts";
import { languageTag } from "./shop-schema.ts";

/** The language of a new shop, as a BCP 47 tag. Default: English. */
export const newShopLanguage = languageTag().default(fallbackLanguage);
