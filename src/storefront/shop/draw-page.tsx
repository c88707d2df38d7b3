import type { VNode } from "preact";
import { renderToString } from "preact-render-to-string";
import { bands } from "../../core/band/band.ts";
import type { Product } from "../../core/listing/product.ts";
import type { Engine } from "../../core/match/engine.ts";
import { fromAddress } from "../../core/place/address.ts";
import { startPlace } from "../../core/place/place.ts";
import { facetsOf } from "../page/page-panel.ts";
import { answerAt, firstState, type PlaceAnswer } from "../page/page-state.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { putAllWords } from "../words/languages.ts";
import type { Boot } from "./boot.ts";
import { PageView } from "./page-view.tsx";
import { NoPageView, ProductView } from "./product-view.tsx";
import type { Around } from "./shop-frame.tsx";

putAllViews();
putAllWords();
const still = () => {};

/**
 * Draws a page as markup, for the address's selection; the browser takes it over. No width is known here, so what
 * differs by band stands in it once for each group of bands, and the style sheet shows one of them.
 */
export async function drawPage(boot: Boot, engine: Engine, search: string): Promise<string> {
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const answers = new Map<string, PlaceAnswer>();
  const states = [];
  for (const band of bands) {
    const asked = facetsOf(boot.panels, band);
    const name = JSON.stringify(asked);
    const place = boot.stage ? startPlace : fromAddress(search, asked, (key) => fields.get(key));
    const asking = { shown: boot.page, panels: boot.panels, band, fields, shop: boot.shop };
    const found = answers.get(name) ?? (await answerAt(engine, asking, place));
    answers.set(name, found);
    states.push(firstState(boot, band, found, search));
  }
  return renderToString(<PageView states={states} perform={still} apply={still} openDrawer={still} />);
}

/** Draws a product's own page. @param chosen place of the variant that is chosen, from 0 */
export const drawProduct = (around: Around, product: Product, chosen: number): string =>
  drawn(<ProductView around={around} product={product} chosen={chosen} />);

/** Draws what stands where there is no page: says so, and searches. */
export const drawNoPage = (around: Around): string => drawn(<NoPageView around={around} />);

const drawn = (view: VNode): string => renderToString(view);
