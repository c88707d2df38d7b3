import type { Catalogue } from "../src/core/catalogue/catalogue.ts";
import { importOf } from "../src/server/store/shops.ts";
import { beginning } from "../src/server/uploads.ts";

/** What a new shop is made of that has nothing but a catalogue. */
export const newShopOf = (catalogue: Catalogue) => ({ ...importOf(catalogue), panels: [beginning(catalogue)] });
