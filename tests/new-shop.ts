import type { Catalogue } from "../src/core/catalogue/catalogue.ts";
import { importOf } from "../src/server/store/shops.ts";
import { beginning } from "../src/server/uploads.ts";

/** The parts of a new shop with nothing but a catalogue. */
export const newShopOf = (catalogue: Catalogue) => ({ ...importOf(catalogue), panels: [beginning(catalogue)] });
