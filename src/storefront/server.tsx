/** @jsxImportSource preact */
import { renderToString } from "preact-render-to-string";
import type { CatalogueIndex } from "../core/index/catalogue-index.ts";
import type { LocalEngine } from "../core/match/engine.ts";
import type { Band } from "../core/panel/bands.ts";
import type { SwatchBook } from "../core/swatch/book.ts";
import { fromAddress } from "./address.ts";
import { type Actions, PageView } from "./page-view.tsx";
import type { Boot } from "./shop-data.ts";
import { firstState } from "./store.ts";

const nothing: Actions = { select() {}, search() {}, sort() {}, turn() {}, drawer() {} };

/** Draws a listing page as markup, for the address's selection; the browser takes it over. */
export function drawPage(boot: Boot, index: CatalogueIndex, swatches: SwatchBook, engine: LocalEngine, search: string, band: Band): string {
  const place = fromAddress(boot.stage ? "" : search, boot.panel, (key) => index.field(key));
  return renderToString(<PageView state={firstState(boot, index, swatches, engine, band, place)} act={nothing} />);
}
