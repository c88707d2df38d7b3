import type { Field } from "../../core/catalogue/field.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import type { Bar, MenuEntry } from "../../core/page/pages-schema.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import type { BandLimits } from "../../core/settings/band.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { Words } from "../words/say.ts";

/** Where a page's questions are answered once it is awake and has its catalogue: in the page itself, in a worker of its own, or on the server as before. */
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
  /** Where what fits is asked for while somebody types; the words come behind it. */
  suggest: string;
}

/** The initial data of a shop page. */
export interface Boot {
  shop: ShopAround;
  /** The beginning of every address of the shop. */
  base: string;
  page: ShownPage;
  panels: PagePanel[];
  /** The catalogue's fields, so that addresses can be read before the catalogue is there. */
  fields: Field[];
  /** Page widths that bands hold from. */
  limits: BandLimits;
  /** Colours of the values that the panels show; of all values on the stage. */
  swatches: SwatchBook;
  engine: EnginePlace;
  /** Where the catalogue in binary form is, and where questions are sent. */
  data: string;
  ask: string;
  /** BCP 47 tag of what shoppers read. */
  language: string;
  /** Its words; absent where they are those that every page has. */
  words?: Words;
  /** The page stands on the designer's stage and takes its panels and selection from there. */
  stage: boolean;
}
