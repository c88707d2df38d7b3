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
 * Renders a page as markup for the address's selection, to be hydrated in the browser. The width is unknown here, so
 * whatever differs by band is rendered once per group of bands, and the style sheet shows one of them.
 * @returns the markup, and the data it was rendered from
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

/** Renders a product's own page. @param chosen index of the selected variant, from 0 */
export const drawProduct = (around: Around, product: Product, chosen: number): string =>
  drawn(<ProductView around={around} product={product} chosen={chosen} />);

/** Renders the page for an unknown address, with a message and a search. */
export const drawNoPage = (around: Around): string => drawn(<NoPageView around={around} />);

const drawn = (view: VNode): string => renderToString(view);
