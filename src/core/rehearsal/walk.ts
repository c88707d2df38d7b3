import type { Operator } from "../displays/interaction-cost.ts";
import type { Selection } from "../engine/question.ts";
import { emptySelection, withChoice } from "../engine/selection.ts";
import { type Answer, answerOf, type Pace } from "./answer-of.ts";
import type { AssumptionName } from "./assumptions.ts";
import { operatorsOn, secondsOf } from "./operators.ts";
import type { PageResults } from "./page-results.ts";
import type { SceneFacet, ScenePanel } from "./scene.ts";
import type { Shopper } from "./shopper.ts";

/** One choice of a shopper. */
export interface Move {
  /** Row of the facet, and its panel. */
  row: string;
  panel: string;
  /** The choice, as shoppers read it, and the whole selection from then on. */
  words: string;
  selection: Selection;
  /** Products before and after. */
  before: number;
  after: number;
  /** Seconds and px scrolled since the move before. */
  seconds: number;
  px: number;
}

/** Where a shopper knew an answer that could not be given, or that found nothing. */
export interface DeadEnd {
  row: string;
  /** `missing`: the facet does not offer it. `empty`: it was chosen and found nothing. */
  kind: "missing" | "empty";
  /** The selection when it was met. */
  selection: Selection;
}

/** Why a shopper has stopped: the product was seen, nothing that was known helped any more, or patience was at its end. */
export type Ending = "arrived" | "nothing helps" | "patience";

/** The way of one shopper. */
export interface Walk {
  n: number;
  target: number;
  ending: Ending;
  moves: Move[];
  deadEnds: DeadEnd[];
  /** All of it, the last look at the products included. */
  seconds: number;
  px: number;
  /** Products that were left at the end. */
  left: number;
}

/** Where the shopper's eyes are, and what they have done so far. */
interface Eyes {
  seconds: number;
  px: number;
  /** How far the page is scrolled, and what scrolls by itself: a drawer, or a panel that stays in sight. */
  page: number;
  own: number;
  /** The panel that has been opened and covers the products. */
  inside: string | undefined;
}

/**
 * Sends a shopper through a page: looks at the first products, looks for the facet that narrows most among those that
 * are known and seen, scrolls on where none in sight helps, answers it, and looks again. Source: the way that people are
 * thought to search by what they take to be worth it, Pirolli and Card (1999), Information Foraging; which facet is
 * taken is Quinlan's (1986) gain of information, with the page's live counts.
 */
export function walk(stands: PageResults, shopper: Shopper, assumed: Readonly<Record<AssumptionName, number>>): Walk {
  const { scene } = stands;
  const operators = operatorsOn(scene.band, assumed);
  const pace: Pace = { of: (acts) => secondsOf(acts, operators), read: assumed.read };
  const eyes: Eyes = { seconds: 0, px: 0, page: 0, own: 0, inside: undefined };
  const spend = (...acts: Operator[]) => {
    eyes.seconds += pace.of(acts);
  };
  const result: Pick<Walk, "moves" | "deadEnds"> = { moves: [], deadEnds: [] };
  let selection = emptySelection;
  let stand = stands.at(selection);
  const tried = new Set<SceneFacet>();
  let since = { seconds: 0, px: 0 };
  const done = (ending: Ending): Walk => ({
    n: shopper.n,
    target: shopper.target.product,
    ending,
    ...result,
    seconds: eyes.seconds,
    px: eyes.px,
    left: stand.total,
  });

  for (;;) {
    if (eyes.inside === undefined && look()) return done("arrived");
    if (eyes.seconds >= assumed.mostSeconds || result.moves.length >= assumed.mostMoves) {
      return done(leave() && look() ? "arrived" : "patience");
    }
    const answer = seek();
    if (!answer) {
      // Nothing helps: whoever is in a drawer closes it and looks once more.
      return done(leave() && look() ? "arrived" : "nothing helps");
    }
    take(answer);
  }

  function rowsOver(field: string): SceneFacet[] {
    return scene.facets.filter(({ row }) => row.field === field);
  }

  /** Looks at the first cards from their top, one by one, until the product is seen; scrolls on where they end below. */
  function look(): boolean {
    const cards = [...stand.first];
    const at = cards.indexOf(shopper.target.product);
    const seen = at < 0 ? cards.length : at + 1;
    eyes.seconds += assumed.look * seen;
    const end = scene.cards.top + Math.ceil(seen / scene.cards.columns) * scene.cards.height;
    if (seen > 0) scrollTo(Math.max(eyes.page, end - scene.screen));
    return at >= 0;
  }

  /** Scrolls the page. */
  function scrollTo(y: number): void {
    scrollBy(Math.abs(y - eyes.page));
    eyes.page = y;
  }

  function scrollBy(px: number): void {
    eyes.px += px;
    eyes.seconds += assumed.scroll * (px / scene.screen);
  }

  /** Closes what covers the products, by the button that shows them. @returns whether something did */
  function leave(): boolean {
    if (eyes.inside === undefined) return false;
    spend("P", "B");
    eyes.inside = undefined;
    eyes.own = 0;
    return true;
  }

  /** The best answer that can be seen; the page is scrolled on while none in sight helps. */
  function seek(): Answer | undefined {
    for (const panel of scene.panels) {
      const own = scene.facets.filter((one) => one.panel === panel.slug && !tried.has(one));
      if (own.every(({ row }) => shopper.believes(row.field) === undefined)) continue;
      enter(panel);
      const end = Math.max(...own.map(({ top, height }) => top + height), 0);
      const byItself = panel.entry !== "open" || panel.sticky;
      let seen = 0;
      for (;;) {
        const to = byItself ? eyes.own + panel.window : eyes.page + panel.window - panel.top;
        const inSight = own.filter(({ top }) => top >= seen && top < to);
        eyes.seconds += assumed.read * inSight.length;
        const best = bestOf(inSight);
        if (best) return best;
        seen = to;
        if (to >= end) break;
        const step = Math.min(panel.window * 0.8, end - to + 40);
        scrollBy(step);
        if (byItself) eyes.own += step;
        else eyes.page += step;
      }
    }
    return undefined;
  }

  /** Goes to a panel, and opens it where it is behind a button. */
  function enter(panel: ScenePanel): void {
    if (eyes.inside === panel.slug) return;
    leave();
    if (!panel.sticky) scrollTo(0);
    eyes.own = 0;
    if (panel.entry === "open") return;
    spend("M", "P", "B");
    eyes.inside = panel.slug;
  }

  /** Of facets in sight the answer that narrows most. What is known and not offered is a dead end, told once. */
  function bestOf(inSight: readonly SceneFacet[]): Answer | undefined {
    let best: Answer | undefined;
    for (const one of inSight) {
      const thing = shopper.believes(one.row.field);
      if (!thing) continue;
      const answer = answerOf(stands, stand, one, thing, assumed.near, pace);
      if (answer === "missing") {
        tried.add(one);
        // Another row over the field may offer it.
        if (rowsOver(one.row.field).some((other) => !tried.has(other))) continue;
        result.deadEnds.push({ row: one.row.id, kind: "missing", selection });
        eyes.seconds += assumed.mind;
      } else if (answer && answer.left < stand.total && (!best || answer.left < best.left)) best = answer;
    }
    return best;
  }

  function take(answer: Answer): void {
    const { facet, choice } = answer;
    const panel = scene.panels.find(({ slug }) => slug === facet.panel);
    for (const one of rowsOver(facet.row.field)) tried.add(one);
    const { read, acts } = answer.way();
    eyes.seconds += assumed.read * read;
    spend("M");
    if (facet.folded) spend("P", "B");
    spend(...acts);
    const before = stand.total;
    const next = withChoice(selection, facet.row.field, choice);
    stand = stands.at(next);
    if (stand.total === 0) {
      // The way back: the choice is taken out again.
      result.deadEnds.push({ row: facet.row.id, kind: "empty", selection: next });
      spend("M", "P", "B");
      stand = stands.at(selection);
      return;
    }
    selection = next;
    const inDrawer = panel?.entry === "drawer" || panel?.entry === "folded";
    if (inDrawer) {
      // A drawer tells how many are left; few enough, and it is closed.
      if (stand.total <= assumed.first) leave();
    } else {
      if (panel?.waits) spend("P", "B");
      // The products are looked at from their top.
      if (panel?.back) eyes.page = 0;
      else scrollTo(0);
    }
    result.moves.push({
      row: facet.row.id,
      panel: facet.panel,
      words: answer.words,
      selection,
      before,
      after: stand.total,
      seconds: eyes.seconds - since.seconds,
      px: eyes.px - since.px,
    });
    since = { seconds: eyes.seconds, px: eyes.px };
  }
}
