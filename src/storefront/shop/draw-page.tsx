import { renderToString } from "preact-render-to-string";
import type { Engine } from "../../core/match/engine.ts";
import { bandGroups } from "../../core/panel/band-groups.ts";
import { engineFacets } from "../../core/panel/panel.ts";
import { fromAddress } from "../../core/place/address.ts";
import { startPlace } from "../../core/place/place.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { putAllWords } from "../words/languages.ts";
import type { Boot } from "./boot.ts";
import { answerAt, firstState, type PlaceAnswer } from "./page-state.ts";
import { PageView } from "./page-view.tsx";

putAllViews();
putAllWords();
const still = () => {};

/**
 * Draws a listing page as markup, for the address's selection; the browser takes it over. No width is known here, so
 * the panel stands in it once for each group of bands that it differs by, and the style sheet shows one of them.
 */
export async function drawPage(boot: Boot, engine: Engine, search: string): Promise<string> {
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const answers = new Map<string, PlaceAnswer>();
  const copies = [];
  for (const group of bandGroups(boot.panel)) {
    const [band] = group;
    const facets = engineFacets(boot.panel, band);
    const name = JSON.stringify(facets);
    const place = boot.stage ? startPlace : fromAddress(search, facets, (key) => fields.get(key));
    const found = answers.get(name) ?? (await answerAt(engine, boot.panel, band, place));
    answers.set(name, found);
    copies.push({ group, state: firstState(boot, band, found, search) });
  }
  return renderToString(<PageView copies={copies} perform={still} openDrawer={still} />);
}
