import type { WireCatalogue } from "../core/index/wire.ts";
import type { PanelDocument } from "../core/panel/document.ts";
import type { SwatchBook } from "../core/swatch/book.ts";

/** What a shop page fetches once and keeps: the catalogue and the colours of its values. */
export interface ShopData {
  catalogue: WireCatalogue;
  swatches: SwatchBook;
}

/** What a shop page is born with. */
export interface Boot {
  shop: { slug: string; name: string; currency: string };
  panel: PanelDocument;
  /** Where {@link ShopData} is. */
  data: string;
  /** The page stands on the designer's stage and takes its panel and selection from there. */
  stage: boolean;
}
