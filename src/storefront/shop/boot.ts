import type { Field } from "../../core/catalogue/field.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import type { Bar, MenuEntry } from "../../core/page/pages-schema.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import type { BandLimits } from "../../core/settings/band.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { Words } from "../words/say.ts";

/**
 * Where a page's questions are answered once it is hydrated and has its catalogue: in the page itself, in a worker, or
 * on the server.
 */
export type EnginePlace = "page" | "worker" | "server";

/** The stand-in shop around every page. */
export interface ShopAround {
  slug: string;
  name: string;
  currency: string;
  bars: Bar[];
  menu: MenuEntry[];
  /** The weights of fields' words in a search. */
  search: SearchedField[] | undefined;
  /** Address of search suggestions; the words are appended. */
  suggest: string;
}

/** The initial data of a shop page. */
export interface Boot {
  shop: ShopAround;
  /** Prefix of every address of the shop. */
  base: string;
  page: ShownPage;
  panels: PagePanel[];
  /** The catalogue's fields, so that addresses can be read before the catalogue has loaded. */
  fields: Field[];
  /** Minimum page widths of bands. */
  limits: BandLimits;
  /** Swatches of the values in the panels; on the stage of all values. */
  swatches: SwatchBook;
  engine: EnginePlace;
  /** Addresses of the catalogue in binary form, and of questions. */
  data: string;
  ask: string;
  /** BCP 47 tag of the shopper's language. */
  language: string;
  /** Its words; absent if every page has them. */
  words?: Words;
  /** The page is on the designer's stage and receives its panels and selection from there. */
  stage: boolean;
}
