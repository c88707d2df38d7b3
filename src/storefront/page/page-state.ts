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

/** All that a shop's page is drawn from. Never changed in place. */
export interface PageState extends ListingState {
  shop: ShopAround;
  shown: ShownPage;
  panels: readonly PagePanel[];
  limits: BandLimits;
  /** The panel whose drawer is open. */
  drawer: string | undefined;
  marked: Marked | undefined;
  /** The last question has no answer yet, since the shop does not answer. */
  trouble: boolean;
  /** The shown results belong to the present choices, and not to earlier ones. */
  answered: boolean;
  /** The last question has no answer yet, and it takes a while. */
  busy: boolean;
  /** By panel that takes its choices to another page, what these choices find there. */
  elsewhere: Elsewhere;
  /** By panel, what is chosen in it and waits for its button. */
  drafts: Readonly<Record<string, Draft>>;
}

/** See {@link PageState.elsewhere}. */
export type Elsewhere = Readonly<Record<string, Answer>>;

/** As much of a page as decides what the engine is asked. */
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
    // Behind a button and while scrolling all that was shown before stays.
    ...(more === "pages" ? { from: (page - 1) * size, size } : { from: 0, size: page * size }),
  };
}

/** Builds the engine’s question for a selection in a panel, on the page that its choices lead to. */
export function questionIn(asking: Asking, { target }: PagePanel, selection: Selection): Question {
  const { shown } = asking;
  const page = target ? { ...shown, kind: "shop" as const, within: target.within } : shown;
  return { ...questionOf({ ...asking, shown: page }, { selection, sort: "", page: 1 }), size: 0 };
}

/** Counts what the choices find on the pages that panels lead to; asks nothing where no panel leads elsewhere. */
function elsewhereAt(engine: Engine, asking: Asking, selection: Selection): Elsewhere | Promise<Elsewhere> {
  const leading = asking.panels.filter(({ target }) => target !== undefined);
  const asked = leading.map((one) => engine.ask(questionIn(asking, one, selection)));
  const named = (answers: readonly Answer[]): Elsewhere =>
    Object.fromEntries(leading.flatMap(({ slug }, at) => (answers[at] ? [[slug, answers[at]]] : [])));
  const known = asked.filter((one): one is Answer => !(one instanceof Promise));
  return known.length < asked.length ? Promise.all(asked).then(named) : named(known);
}

/**
 * Asks for a place on a page. A place beyond the last is the last: a shared link may be older than
 * the catalogue. An engine that answers at once is answered for at once.
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

/** As much of what a page is born with as it is drawn from. */
export type InitialState = Pick<
  Boot,
  "shop" | "base" | "page" | "panels" | "fields" | "limits" | "swatches" | "language"
> & {
  /** The names in queries; by their own names if absent. */
  names?: QueryNames;
};

/** The first state of a page, on one of its bands. @param query what stands behind the address, from its `?` on */
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

/** Whether what is chosen in a panel does not change the page that it is on: it waits for a button, or is taken elsewhere. */
export const keepsDraft = ({ target }: PagePanel, { apply }: Behaviour): boolean =>
  apply === "button" || target !== undefined;

/** The data of one panel of a page. */
export function panelState(state: PageState, one: PagePanel): PanelState {
  const { slug, panel } = one;
  const behaviour = behaviourOn(panel, state.band);
  const draft = Object.hasOwn(state.drafts, slug) ? state.drafts[slug] : undefined;
  const group = groupsOf(one).find((bands) => bands.includes(state.band));
  const there = one.target && Object.hasOwn(state.elsewhere, slug) ? state.elsewhere[slug] : undefined;
  return {
    ...state,
    ...(there ? { answer: there } : {}),
    // On a site the panel's own element knows where choices are taken.
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
