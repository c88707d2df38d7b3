import type { VNode } from "preact";
import { renderToString } from "preact-render-to-string";
import type { Product } from "../../core/engine/cards/product.ts";
import type { Engine } from "../../core/engine/engine.ts";
import { fromAddress } from "../../core/page/browse-state/address.ts";
import { startPlace } from "../../core/page/browse-state/browse-state.ts";
import { type Drawn, firstAnswers } from "../page/first-answers.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { putAllWords } from "../words/languages.ts";
import type { Around } from "./around.ts";
import type { Boot } from "./boot.ts";
import { PageView } from "./page-view.tsx";
import { NoPageView, ProductView } from "./product-view.tsx";

putAllViews();
putAllWords();
const still = () => {};

/**
 * Draws a page as markup, for the address's selection; the browser takes it over. No width is known here, so what
 * differs by band stands in it once for each group of bands, and the style sheet shows one of them.
 * @returns the markup, and what it was drawn from
 */
export async function drawPage(
  boot: Boot,
  engine: Engine,
  search: string,
): Promise<{ markup: string; drawn: Drawn[] }> {
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const { drawn, states } = await firstAnswers(
    boot,
    engine,
    (asked) => (boot.stage ? startPlace : fromAddress(search, asked, (key) => fields.get(key))),
    search,
  );
  const markup = renderToString(<PageView states={states} perform={still} apply={still} openDrawer={still} />);
  return { markup, drawn };
}

/** Draws a product's own page. @param chosen place of the variant that is chosen, from 0 */
export const drawProduct = (around: Around, product: Product, chosen: number): string =>
  drawn(<ProductView around={around} product={product} chosen={chosen} />);

/** Draws what stands where there is no page: says so, and searches. */
export const drawNoPage = (around: Around): string => drawn(<NoPageView around={around} />);

const drawn = (view: VNode): string => renderToString(view);
