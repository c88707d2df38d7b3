import { type Band, type BandLimits, resolve } from "../../core/band/band.ts";
import type { DisplayName } from "../../core/display/displays.ts";
import type { Answer } from "../../core/match/answer.ts";
import type { Engine } from "../../core/match/engine.ts";
import type { Question } from "../../core/match/question.ts";
import { engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Place } from "../../core/place/place.ts";
import { type ListingState, pageSize } from "../listing/listing-state.ts";
import { sayOf } from "../words/spoken.ts";
import type { Boot } from "./boot.ts";

/** All that a shop's page is drawn from. Never changed in place. */
export interface PageState extends ListingState {
  shop: Boot["shop"];
  limits: BandLimits;
  drawerOpen: boolean;
  /** The last question has no answer yet, since the shop does not answer. */
  trouble: boolean;
}

/** A place and the answer to it. */
export interface PlaceAnswer {
  place: Place;
  answer: Answer;
}

/** What the engine is asked for a page. */
export function questionOf(panel: PanelDocument, band: Band, { selection, sort, page }: Place): Question {
  return { facets: engineFacets(panel, band), selection, sort, from: (page - 1) * pageSize, size: pageSize };
}

/**
 * Asks for a place on a panel's page. A page beyond the last is the last: a shared link may be older than
 * the catalogue. An engine that answers at once is answered for at once.
 */
export function answerAt(
  engine: Engine,
  panel: PanelDocument,
  band: Band,
  { selection, sort, page }: Place,
): PlaceAnswer | Promise<PlaceAnswer> {
  const place = { selection, sort, page };
  const take = (answer: Answer): PlaceAnswer | Promise<PlaceAnswer> => {
    const last = Math.max(1, Math.ceil(answer.total / pageSize));
    return page > last ? answerAt(engine, panel, band, { ...place, page: last }) : { place, answer };
  };
  const answer = engine.ask(questionOf(panel, band, place));
  return answer instanceof Promise ? answer.then(take) : take(answer);
}

/** The first state of a page, on one of its bands. @param query what stands behind the address, from its `?` on */
export function firstState(
  { shop, fields, panel, panelSlug, limits, swatches, language }: Boot,
  band: Band,
  { place, answer }: PlaceAnswer,
  query: string,
): PageState {
  return {
    ...place,
    id: `zt-${panelSlug}-${band}`,
    shop,
    panel,
    band,
    limits,
    fields: new Map(fields.map((field) => [field.key, field])),
    swatches,
    currency: shop.currency,
    answer,
    drawerOpen: false,
    trouble: false,
    marked: undefined,
    language,
    say: sayOf(language),
    query,
  };
}

/** The displays that a panel uses, on one band or on all. */
export function displaysOf(panel: PanelDocument, bands: readonly Band[]): DisplayName[] {
  return [...new Set(facetRows(panel).flatMap(({ display }) => bands.map((band) => resolve(display, band))))];
}
