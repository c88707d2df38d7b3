import type { Operator } from "../display/hands.ts";
import type { Selection } from "../match/question.ts";
import { emptySelection, withChoice } from "../match/selection.ts";
import { type Answer, answerOf } from "./answer-of.ts";
import type { AssumptionName } from "./assumptions.ts";
import { secondsOf } from "./operators.ts";
import type { SceneFacet, ScenePanel } from "./scene.ts";
import type { Shopper } from "./shopper.ts";
import type { Stands } from "./stand.ts";

/** One choice of a shopper. */
export interface Move {
  /** Row of the facet, and its panel. */
  row: string;
  panel: string;
  /** What was chosen, as shoppers read it, and all that is chosen from then on. */
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
  /** What was chosen when it was met. */
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
  /** How far the page, or the drawer, is scrolled. */
  scrolled: number;
  /** The panel that has been opened and covers the products. */
  inside: string | undefined;
}

/**
 * Sends a shopper through a page: looks at the first products, looks for the facet that narrows most among those that
 * are known and seen, scrolls on where none in sight helps, answers it, and looks again. Source: the way that people are
 * thought to search by what they take to be worth it, Pirolli and Card (1999), Information Foraging; which facet is
 * taken is Quinlan's (1986) gain of information, with the page's live counts.
 */
export function walk(stands: Stands, shopper: Shopper, assumed: Readonly<Record<AssumptionName, number>>): Walk {
  const { scene } = stands;
  const seconds = { K: assumed.press, P: assumed.point, H: assumed.home, M: assumed.mind };
  const eyes: Eyes = { seconds: 0, px: 0, scrolled: 0, inside: undefined };
  const spend = (...acts: Operator[]) => {
    eyes.seconds += secondsOf(acts, seconds);
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
    if (eyes.inside === undefined) {
      eyes.seconds += assumed.look * Math.min(assumed.first, stand.total);
      if (stand.first.has(shopper.target.product)) return done("arrived");
    }
    if (eyes.seconds >= assumed.mostSeconds || result.moves.length >= assumed.mostMoves) {
      leave();
      return done(arrives() ? "arrived" : "patience");
    }
    const answer = seek();
    if (!answer) {
      // Nothing helps: whoever is in a drawer closes it and looks once more.
      const covered = eyes.inside !== undefined;
      leave();
      if (covered) eyes.seconds += assumed.look * Math.min(assumed.first, stand.total);
      return done(arrives() ? "arrived" : "nothing helps");
    }
    take(answer);
  }

  function rowsOver(field: string): SceneFacet[] {
    return scene.facets.filter(({ row }) => row.field === field);
  }

  function arrives(): boolean {
    return stand.first.has(shopper.target.product);
  }

  /** Closes what covers the products, by the button that shows them. */
  function leave(): void {
    if (eyes.inside === undefined) return;
    spend("P", "K");
    eyes.inside = undefined;
    eyes.scrolled = 0;
  }

  /** The best answer that can be seen; the page is scrolled on while none in sight helps. */
  function seek(): Answer | undefined {
    for (const panel of scene.panels) {
      const own = scene.facets.filter((one) => one.panel === panel.slug && !tried.has(one));
      if (own.every(({ row }) => shopper.believes(row.field) === undefined)) continue;
      enter(panel);
      const end = Math.max(...own.map(({ top, height }) => top + height), 0);
      let seen = 0;
      for (;;) {
        const from = panel.entry === "open" && !panel.sticky ? Math.max(0, eyes.scrolled - panel.top) : eyes.scrolled;
        const to = from + panel.window - (panel.entry === "open" && eyes.scrolled === 0 ? panel.top : 0);
        const inSight = own.filter(({ top }) => top >= seen && top < to);
        eyes.seconds += assumed.read * inSight.length;
        const best = bestOf(inSight);
        if (best) return best;
        seen = to;
        if (to >= end) break;
        const step = Math.min(panel.window * 0.8, end - to + 40);
        eyes.scrolled += step;
        eyes.px += step;
        eyes.seconds += assumed.scroll * (step / scene.screen);
      }
    }
    return undefined;
  }

  /** Opens a panel that is behind a button. */
  function enter(panel: ScenePanel): void {
    if (panel.entry === "open" || eyes.inside === panel.slug) return;
    leave();
    spend("M", "P", "K");
    eyes.inside = panel.slug;
    eyes.scrolled = 0;
  }

  /** Of facets in sight the answer that narrows most. What is known and not offered is a dead end, told once. */
  function bestOf(inSight: readonly SceneFacet[]): Answer | undefined {
    let best: Answer | undefined;
    for (const one of inSight) {
      const thing = shopper.believes(one.row.field);
      if (!thing) continue;
      const answer = answerOf(stands, stand, one, thing, assumed.near);
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
    eyes.seconds += assumed.read * answer.read;
    spend("M");
    if (facet.folded) spend("P", "K");
    if (answer.more) spend("P", "K");
    spend(...answer.hands);
    const before = stand.total;
    const next = withChoice(selection, facet.row.field, choice);
    stand = stands.at(next);
    if (stand.total === 0) {
      // The way back: the choice is taken out again.
      result.deadEnds.push({ row: facet.row.id, kind: "empty", selection: next });
      spend("M", "P", "K");
      stand = stands.at(selection);
      return;
    }
    selection = next;
    const inDrawer = panel?.entry === "drawer" || panel?.entry === "folded";
    if (inDrawer) {
      // A drawer tells how many are left; few enough, and it is closed.
      if (stand.total <= assumed.first) leave();
    } else {
      if (panel?.waits) spend("P", "K");
      // The products are looked at from their top.
      if (eyes.scrolled > 0) {
        if (!panel?.back) {
          eyes.px += eyes.scrolled;
          eyes.seconds += assumed.scroll * (eyes.scrolled / scene.screen);
        }
        eyes.scrolled = 0;
      }
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
