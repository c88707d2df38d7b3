import type { Selection } from "../engine/question.ts";
import { emptySelection, withChoice } from "../engine/selection.ts";
import { answerOf, type ShopperAnswer } from "./answer-of.ts";
import type { AssumptionName } from "./assumptions.ts";
import { Attention } from "./attention.ts";
import type { PageResults } from "./page-results.ts";
import type { SceneFacet } from "./scene.ts";
import type { Shopper } from "./shopper.ts";

/** One choice of a shopper. */
export interface WalkStep {
  /** Row of the facet, and its panel. */
  row: string;
  panel: string;
  /** The choice in words, and the whole selection after it. */
  words: string;
  selection: Selection;
  /** Products before and after. */
  before: number;
  after: number;
  /** Seconds and px scrolled since the previous move. */
  seconds: number;
  px: number;
}

/** A place where a shopper knew an answer that was not offered, or that found nothing. */
export interface DeadEnd {
  row: string;
  /** `missing`: the facet does not offer it. `empty`: it was chosen and found nothing. */
  kind: "missing" | "empty";
  /** The selection when it was met. */
  selection: Selection;
}

/** Why a shopper stopped: the product was seen, nothing known helped any more, or patience ran out. */
export type Ending = "arrived" | "nothing helps" | "patience";

/** The way of one shopper. */
export interface Walk {
  n: number;
  target: number;
  ending: Ending;
  moves: WalkStep[];
  deadEnds: DeadEnd[];
  /** In total, including the last look at the products. */
  seconds: number;
  px: number;
  /** Number of products left at the end. */
  left: number;
}

/**
 * Sends a shopper through a page: look at the first products; find the facet that narrows most among those known and
 * seen, scrolling on if none in sight helps; answer it; look again. Source: people follow information scent, Pirolli
 * and Card (1999), Information Foraging; facets are chosen by Quinlan's (1986) information gain, with the page's live
 * counts.
 */
export const walk = (results: PageResults, shopper: Shopper, assumed: Readonly<Record<AssumptionName, number>>): Walk =>
  new Walker(results, shopper, assumed).run();

class Walker {
  readonly #results: PageResults;
  readonly #shopper: Shopper;
  readonly #assumed: Readonly<Record<AssumptionName, number>>;
  readonly #attention: Attention;
  /** Facets that were answered, or that do not offer the known value. */
  readonly #tried = new Set<SceneFacet>();
  readonly #moves: WalkStep[] = [];
  readonly #deadEnds: DeadEnd[] = [];
  #selection = emptySelection;
  #found: ReturnType<PageResults["at"]>;
  /** Spent at the time of the last move. */
  #spent = { seconds: 0, px: 0 };

  constructor(results: PageResults, shopper: Shopper, assumed: Readonly<Record<AssumptionName, number>>) {
    this.#results = results;
    this.#shopper = shopper;
    this.#assumed = assumed;
    this.#attention = new Attention(results.scene, assumed);
    this.#found = results.at(this.#selection);
  }

  run(): Walk {
    const ending = this.#walk();
    const { n, target } = this.#shopper;
    const { seconds, px } = this.#attention;
    const [moves, deadEnds] = [this.#moves, this.#deadEnds];
    return { n, target: target.product, ending, moves, deadEnds, seconds, px, left: this.#found.total };
  }

  #walk(): Ending {
    const { maxSeconds, maxMoves } = this.#assumed;
    for (;;) {
      if (!this.#attention.isInside && this.#look()) return "arrived";
      const isOut = this.#attention.seconds >= maxSeconds || this.#moves.length >= maxMoves;
      const answer = isOut ? undefined : this.#seek();
      // A shopper in a drawer closes it and looks once more.
      if (!answer) return this.#attention.leave() && this.#look() ? "arrived" : isOut ? "patience" : "nothing helps";
      this.#take(answer);
    }
  }

  /** Looks at the first cards, one by one, until the product is seen. */
  #look(): boolean {
    const cards = [...this.#found.first];
    const at = cards.indexOf(this.#shopper.target.product);
    this.#attention.lookAtCards(at < 0 ? cards.length : at + 1);
    return at >= 0;
  }

  /** The best visible answer; scrolls on while no visible facet helps. */
  #seek(): ShopperAnswer | undefined {
    const { panels, facets } = this.#results.scene;
    for (const panel of panels) {
      const own = facets.filter((one) => one.panel === panel.slug && !this.#tried.has(one));
      if (own.every(({ row }) => this.#shopper.believes(row.field) === undefined)) continue;
      this.#attention.enter(panel);
      for (const inSight of this.#attention.scan(panel, own)) {
        this.#attention.read(inSight.length);
        const best = this.#bestOf(inSight);
        if (best) return best;
      }
    }
    return undefined;
  }

  /** Of the visible facets, the answer that narrows most. */
  #bestOf(inSight: readonly SceneFacet[]): ShopperAnswer | undefined {
    let best: ShopperAnswer | undefined;
    for (const one of inSight) {
      const answer = this.#answerOf(one);
      if (answer && answer.left < this.#found.total && (!best || answer.left < best.left)) best = answer;
    }
    return best;
  }

  /** A facet's answer for what the shopper knows. A known value that is not offered is a dead end, counted once. */
  #answerOf(one: SceneFacet): ShopperAnswer | undefined {
    const known = this.#shopper.believes(one.row.field);
    if (!known) return undefined;
    const answer = answerOf(this.#results, this.#found, one, known, this.#assumed.near, this.#attention.pace);
    if (answer !== "missing") return answer;
    this.#tried.add(one);
    // Another row over the field may offer it.
    if (this.#rowsOver(one.row.field).some((other) => !this.#tried.has(other))) return undefined;
    this.#deadEnds.push({ row: one.row.id, kind: "missing", selection: this.#selection });
    this.#attention.seconds += this.#assumed.mind;
    return undefined;
  }

  #rowsOver = (field: string): SceneFacet[] => this.#results.scene.facets.filter(({ row }) => row.field === field);

  /** Gives an answer; one that finds nothing is taken back. */
  #take(answer: ShopperAnswer): void {
    const { facet, choice } = answer;
    for (const one of this.#rowsOver(facet.row.field)) this.#tried.add(one);
    this.#press(answer);
    const before = this.#found.total;
    const next = withChoice(this.#selection, facet.row.field, choice);
    const found = this.#results.at(next);
    if (found.total === 0) {
      this.#deadEnds.push({ row: facet.row.id, kind: "empty", selection: next });
      this.#attention.act("M", "P", "B");
      return;
    }
    this.#selection = next;
    this.#found = found;
    this.#turnToProducts(facet.panel);
    const { seconds, px } = this.#attention;
    this.#moves.push({
      row: facet.row.id,
      panel: facet.panel,
      words: answer.words,
      selection: next,
      before,
      after: found.total,
      seconds: seconds - this.#spent.seconds,
      px: px - this.#spent.px,
    });
    this.#spent = { seconds, px };
  }

  /** Finds the option and performs the operators. */
  #press({ facet, way }: ShopperAnswer): void {
    const { read, acts } = way();
    this.#attention.read(read);
    this.#attention.act("M");
    if (facet.folded) this.#attention.act("P", "B");
    this.#attention.act(...acts);
  }

  /**
   * After a choice: a drawer shows how many products are left and is closed if they are few; otherwise the shopper
   * looks at the products from the top.
   */
  #turnToProducts(slug: string): void {
    const panel = this.#results.scene.panels.find((one) => one.slug === slug);
    if (panel && panel.entry !== "open") {
      if (this.#found.total <= this.#assumed.first) this.#attention.leave();
      return;
    }
    if (panel?.waits) this.#attention.act("P", "B");
    if (panel?.back) this.#attention.jumpToTop();
    else this.#attention.scrollTo(0);
  }
}
