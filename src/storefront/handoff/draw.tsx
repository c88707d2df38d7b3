import { options, type VNode } from "preact";
import { renderToString } from "preact-render-to-string";
import type { Engine } from "../../core/engine/engine.ts";
import { plainCounts } from "../../core/engine/remote-engine.ts";
import { startPlace } from "../../core/page/browse-state/browse-state.ts";
import { jsonInMarkup } from "../../core/sanitize/json-in-markup.ts";
import { Pages } from "../listing/pages.tsx";
import { sortChoices } from "../listing/sort-box.tsx";
import { type Drawn, firstAnswers } from "../page/first-answers.ts";
import { facetsOf, type PagePanel } from "../page/page-panel.ts";
import type { InitialState, PageState } from "../page/page-state.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { Chosen } from "../panel/pieces.tsx";
import { putAllWords } from "../words/languages.ts";
import { PanelBody } from "./panel-body.tsx";
import { parked } from "./parked-styles.ts";
import type { BandAnswer, Island } from "./wire.ts";

putAllViews();
putAllWords();
const still = () => {};

/** A page without a selection, on every band. */
export interface StillPage {
  born: InitialState;
  /** Its language; absent for the shop's own. */
  language: string | undefined;
  /** The files it is drawn from, see `wire.ts`. */
  drawn: string;
  answers: readonly Drawn[];
  states: readonly PageState[];
}

/** Computes a page without a selection. */
export async function stillPage(
  born: InitialState,
  from: string,
  engine: Engine,
  language?: string,
): Promise<StillPage> {
  const { drawn, states } = await firstAnswers(born, engine, () => startPlace, "");
  return { born, language, drawn: from, answers: drawn, states };
}

/** Drawn markup, with the styles of its elements separate, since a strict policy forbids style attributes. */
export interface DrawnPiece {
  html: string;
  styles: readonly string[];
}

/**
 * A panel as markup, for every band.
 * @param at address of the handoff's files
 * @param action target of its form, if choices are sent elsewhere
 */
export function drawPanel(
  { born, language, drawn: from, answers, states }: StillPage,
  one: PagePanel,
  at: string,
  action: string | undefined,
): DrawnPiece {
  // A panel that sends its choices elsewhere has a button.
  const sent =
    action === undefined
      ? one
      : {
          ...one,
          target: { address: action, within: one.target?.within ?? born.page.within, form: one.target === undefined },
        };
  const panels = born.panels.map((panel) => (panel.slug === one.slug ? sent : panel));
  const drawn = drawApart(() => (
    <PanelBody
      one={sent}
      states={states.map((state) => ({ ...state, panels }))}
      action={action}
      perform={still}
      apply={still}
      openDrawer={still}
    />
  ));
  const island: Island = {
    at,
    page: born.page,
    ...(language === undefined ? {} : { language }),
    drawn: from,
    panel: one,
    answers: answers.map((each) => ownOf(each, one)),
  };
  const sends = action === undefined ? "" : ` action="${escaped(action)}"`;
  return {
    ...drawn,
    html: `<trellis-panel panel="${escaped(one.slug)}"${sends}>${scriptOf(island)}<div class="zt-root">${drawn.html}</div></trellis-panel>`,
  };
}

/** The part of a page's answer for one panel: its own facets, without products. */
function ownOf({ bands, answer: here, elsewhere }: Drawn, one: PagePanel): BandAnswer {
  const answer = (one.target && elsewhere[one.slug]) ?? here;
  const facets = bands
    .flatMap((band) => facetsOf([one], band))
    .flatMap(({ field }) => {
      const facet = answer.facets[field];
      return facet ? [[field, facet] as const] : [];
    });
  return { bands, answer: { ...answer, products: [], facets: Object.fromEntries(facets) } };
}

/** The parts around the cards of a listing: counts, sort order, and chosen filters. */
export interface ListingParts {
  island: string;
  total: string;
  sorts: string;
  sortName: string;
  nothing: string;
  /** The text of the button for more products; empty if all are shown. */
  more: string;
  /** The links to results pages, if the page has those. */
  pages: string | undefined;
  /** Chosen filters, if panels want them above the products. */
  chosen: DrawnPiece | undefined;
}

export function drawListing(
  { born, language, drawn, states }: StillPage,
  at: string,
  chosenAbove: boolean,
): ListingParts {
  const [state] = states;
  if (!state) throw new RangeError("A page is drawn for a band at least.");
  const { answer, layout, say } = state;
  const left = answer.total - answer.products.length;
  return {
    island: scriptOf({ at, page: born.page, ...(language === undefined ? {} : { language }), drawn }),
    total: escaped(say("found", { n: answer.total })),
    sorts: sortChoices(state)
      .map(({ sort, label }) => `<option value="${escaped(sort)}">${escaped(label)}</option>`)
      .join(""),
    sortName: escaped(say("sortBy")),
    nothing: layout.nothing || `<p>${escaped(say("nothingFits"))}</p>`,
    pages: layout.more === "pages" ? drawApart(() => <Pages state={state} perform={still} />).html : undefined,
    more: left > 0 ? escaped(say("showMore", { n: Math.min(left, layout.size) })) : "",
    chosen: chosenAbove
      ? drawApart(() => (
          <div class="zt-root">
            <Chosen state={state} perform={still} label="" />
          </div>
        ))
      : undefined,
  };
}

/** Renders with style attributes separated from the markup. */
function drawApart(view: () => VNode): DrawnPiece {
  const styles = new Set<string>();
  const before = options.vnode;
  options.vnode = (vnode) => {
    if (typeof vnode.type === "string" && "style" in vnode.props) {
      const { style, ...props } = vnode.props;
      const text = styleText(style);
      vnode.props = Object.assign(props, text === "" ? {} : { [parked]: text });
      if (text !== "") styles.add(text);
    }
    before?.(vnode);
  };
  try {
    return { html: renderToString(view()), styles: [...styles] };
  } finally {
    if (before) options.vnode = before;
    else delete options.vnode;
  }
}

const styleText = (style: unknown): string =>
  Object.entries(Object(style))
    .filter(([, value]) => value !== undefined && value !== null)
    .map(([name, value]) => `${name}:${String(value)}`)
    .join(";");

/** JSON in an inert script element. */
const scriptOf = (island: Island): string =>
  `<script type="application/json">${jsonInMarkup(island, plainCounts)}</script>`;

/** A text escaped for markup. */
export const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;").replaceAll('"', "&quot;");
