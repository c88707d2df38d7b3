import type { PagesDocument } from "../page/pages-schema.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";

/** Everything that decides how shoppers are led in one version of a shop: its pages, and its panels in order. */
export interface ShopVersion {
  pages: PagesDocument;
  panels: readonly { readonly slug: string; readonly document: PanelDocument }[];
}
