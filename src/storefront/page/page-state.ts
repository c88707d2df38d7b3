import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question, Selection } from "../../core/engine/question.ts";
import { askedOn } from "../../core/page/asked-on.ts";
import type { QueryNames } from "../../core/page/browse-state/address.ts";
import { type BrowseState, orderOf } from "../../core/page/browse-state/browse-state.ts";
import { showOf } from "../../core/page/layout.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { Band, BandLimits } from "../../core/settings/band.ts";
import type { Behaviour } from "../../core/settings/behaviour.ts";
import type { ListingState } from "../listing/listing-state.ts";
import type { PanelState } from "../panel/panel-state.ts";
import type { Boot, ShopAround } from "../shop/boot.ts";
import { sayOf } from "../words/spoken.ts";
import type { Draft } from "./drafts.ts";
import { appliesBy, behaviourOn, facetsOf, groupsOf, type PagePanel } from "./page-panel.ts";

/** A row that the designer points at. */
export interface Marked {
  panel: string;
  row: string;
}

/** Everything a shop's page is drawn from. Immutable. */
export interface PageState extends ListingState {
  shop: ShopAround;
  shown: ShownPage;
  panels: readonly PagePanel[];
  limits: BandLimits;
  /** The panel whose drawer is open. */
  drawer: string | undefined;
  marked: Marked | undefined;
  /** The last question has no answer, since the shop does not respond. */
  trouble: boolean;
  /** The shown results belong to the present choices rather than earlier ones. */
  answered: boolean;
  /** The last question has no answer yet, and is taking a while. */
  busy: boolean;
  /** By panel that sends its choices to another page, the results there. */
  elsewhere: Elsewhere;
  /** By panel, its waiting choices. */
  drafts: Readonly<Record<string, Draft>>;
}

/** See {@link PageState.elsewhere}. */
export type Elsewhere = Readonly<Record<string, Answer>>;

/** The part of a page that determines the engine's question. */
export type Asking = Pick<PageState, "shown" | "panels" | "band" | "fields" | "shop">;

/** A place and the answer to it. */
export interface PlaceAnswer {
  place: BrowseState;
  answer: Answer;
  elsewhere: Elsewhere;
}

/** The question of a page. */
export function questionOf({ shown, panels, band, fields, shop }: Asking, place: BrowseState): Question {
  const { selection, page } = place;
  const { layout, order } = shown;
  const { size, more } = layout;
  return {
    ...askedOn(shown, selection),
    facets: facetsOf(panels, band),
    sort: orderOf(place, order, layout.sorts),
    show: showOf(layout, fields.values()),
    mends: true,
    searching: shop.search,
    // With a button or scrolling, all products shown before stay.
    ...(more === "pages" ? { from: (page - 1) * size, size } : { from: 0, size: page * size }),
  };
}

/** The engine’s question for a selection in a panel, about the page that receives its choices. */
export function questionIn(asking: Asking, { target }: PagePanel, selection: Selection): Question {
  const { shown } = asking;
  const page = target ? { ...shown, kind: "shop" as const, within: target.within } : shown;
  return { ...questionOf({ ...asking, shown: page }, { selection, sort: "", page: 1 }), size: 0 };
}

/** Counts the results on other pages that panels lead to; asks nothing if there are none. */
function elsewhereAt(engine: Engine, asking: Asking, selection: Selection): Elsewhere | Promise<Elsewhere> {
  const leading = asking.panels.filter(({ target }) => target !== undefined);
  const asked = leading.map((one) => engine.ask(questionIn(asking, one, selection)));
  const named = (answers: readonly Answer[]): Elsewhere =>
    Object.fromEntries(leading.flatMap(({ slug }, at) => (answers[at] ? [[slug, answers[at]]] : [])));
  const known = asked.filter((one): one is Answer => !(one instanceof Promise));
  return known.length < asked.length ? Promise.all(asked).then(named) : named(known);
}

/**
 * Computes a place on a page. A results page beyond the last becomes the last: a shared link may be older than the
 * catalogue. Synchronous if the engine is.
 */
export function answerAt(
  engine: Engine,
  asking: Asking,
  { selection, sort, page }: BrowseState,
): PlaceAnswer | Promise<PlaceAnswer> {
  const place = { selection, sort, page };
  const take = (answer: Answer): PlaceAnswer | Promise<PlaceAnswer> => {
    const last = Math.max(1, Math.ceil(answer.total / asking.shown.layout.size));
    if (page > last) return answerAt(engine, asking, { ...place, page: last });
    const elsewhere = elsewhereAt(engine, asking, selection);
    return elsewhere instanceof Promise
      ? elsewhere.then((found) => ({ place, answer, elsewhere: found }))
      : { place, answer, elsewhere };
  };
  const answer = engine.ask(questionOf(asking, place));
  return answer instanceof Promise ? answer.then(take) : take(answer);
}

/** The part of a page's boot data needed to draw it. */
export type InitialState = Pick<
  Boot,
  "shop" | "base" | "page" | "panels" | "fields" | "limits" | "swatches" | "language"
> & {
  /** The names in queries; the fields' keys if absent. */
  names?: QueryNames;
};

/** The first state of a page, on one band. @param query the address's query, with its `?` */
export function firstState(born: InitialState, band: Band, found: PlaceAnswer, query: string): PageState {
  const { place, answer, elsewhere } = found;
  const { shop, base, page: shown, panels, fields, limits, swatches, language, names = {} } = born;
  return {
    ...place,
    ...onPage(shown, panels, band),
    shop,
    base,
    band,
    limits,
    fields: new Map(fields.map((field) => [field.key, field])),
    swatches,
    currency: shop.currency,
    answer,
    drawer: undefined,
    trouble: false,
    answered: true,
    busy: false,
    elsewhere,
    drafts: {},
    marked: undefined,
    language,
    say: sayOf(language),
    query,
    names,
  };
}

/** The part of the state that depends on the page, its panels and the band. */
export const onPage = (shown: ShownPage, panels: readonly PagePanel[], band: Band) => ({
  shown,
  layout: shown.layout,
  order: shown.order,
  panels,
  rows: panels.flatMap(({ panel }) => facetRows(panel)),
  asked: facetsOf(panels, band),
});

/** Whether choices in a panel do not change its own page: they wait for a button, or are sent elsewhere. */
export const keepsDraft = ({ target }: PagePanel, { apply }: Behaviour): boolean =>
  apply === "button" || target !== undefined;

/** The state of one panel of a page. */
export function panelState(state: PageState, one: PagePanel): PanelState {
  const { slug, panel } = one;
  const behaviour = behaviourOn(panel, state.band);
  const draft = Object.hasOwn(state.drafts, slug) ? state.drafts[slug] : undefined;
  const group = groupsOf(one).find((bands) => bands.includes(state.band));
  const there = one.target && Object.hasOwn(state.elsewhere, slug) ? state.elsewhere[slug] : undefined;
  return {
    ...state,
    ...(there ? { answer: there } : {}),
    // On a site the panel's own element knows the target of choices.
    leadsTo: state.base === "" ? undefined : one.target?.address,
    id: `zt-${slug}-${group?.[0] ?? state.band}`,
    panel,
    slug,
    behaviour,
    waits: appliesBy(one, behaviour) === "button",
    leaves: appliesBy(one, behaviour) === "once" && one.target !== undefined,
    counted: draft ? draft.counted : !(state.busy || state.trouble),
    ...(draft ? { selection: draft.selection, answer: draft.answer } : {}),
    marked: state.marked?.panel === slug ? state.marked.row : undefined,
  };
}
