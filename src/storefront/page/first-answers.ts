import type { Engine } from "../../core/engine/engine.ts";
import type { Facet } from "../../core/engine/question.ts";
import type { BrowseState } from "../../core/page/browse-state/browse-state.ts";
import { type Band, bands } from "../../core/settings/band.ts";
import { facetsOf } from "./page-panel.ts";
import { answerAt, firstState, type InitialState, type PageState, type PlaceAnswer } from "./page-state.ts";

/** The answer that a page was drawn from, on the bands with the same question. */
export interface Drawn extends PlaceAnswer {
  bands: Band[];
}

/**
 * Computes a page on all bands before its width is known, once for bands with the same question.
 * @param placeFor the place, given the facets
 * @param query the address's query, with its `?`
 * @returns the answers, and the page's first state on each band
 */
export async function firstAnswers(
  born: InitialState,
  engine: Engine,
  placeFor: (asked: readonly Facet[]) => BrowseState,
  query: string,
): Promise<{ drawn: Drawn[]; states: PageState[] }> {
  const { page: shown, panels, shop } = born;
  const fields = new Map(born.fields.map((field) => [field.key, field]));
  const answers = new Map<string, Drawn>();
  const states: PageState[] = [];
  for (const band of bands) {
    const asked = facetsOf(panels, band);
    const name = JSON.stringify(asked);
    const asking = { shown, panels, band, fields, shop };
    const found = answers.get(name) ?? { bands: [], ...(await answerAt(engine, asking, placeFor(asked))) };
    found.bands.push(band);
    answers.set(name, found);
    states.push(firstState(born, band, found, query));
  }
  return { drawn: [...answers.values()], states };
}
