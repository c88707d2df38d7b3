import type { BandLimits } from "../../core/band/band.ts";
import type { Field } from "../../core/catalogue/field.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { Words } from "../words/say.ts";

/** Where a page's questions are answered: in the page itself, in a worker of its own, or on the server. */
export type EnginePlace = "page" | "worker" | "server";

/** What a shop page is born with. */
export interface Boot {
  shop: { slug: string; name: string; currency: string };
  /** The catalogue's fields, so that addresses can be read before the catalogue is there. */
  fields: Field[];
  panel: PanelDocument;
  /** The panel's name in addresses, which ids on the page begin with. */
  panelSlug: string;
  /** Page widths that bands hold from. */
  limits: BandLimits;
  /** Colours of the values that the panel shows; of all values on the stage. */
  swatches: SwatchBook;
  engine: EnginePlace;
  /** Where the catalogue in binary form is, and where questions are sent. */
  data: string;
  ask: string;
  /** BCP 47 tag of what shoppers read. */
  language: string;
  /** Its words; absent where they are those that every page has. */
  words?: Words;
  /** The page stands on the designer's stage and takes its panel and selection from there. */
  stage: boolean;
}
