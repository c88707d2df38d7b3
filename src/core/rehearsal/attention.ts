import type { Operator } from "../displays/interaction-cost.ts";
import type { Pace } from "./answer-of.ts";
import type { AssumptionName } from "./assumptions.ts";
import { operatorsOn, secondsOf } from "./operators.ts";
import type { Scene, SceneFacet, ScenePanel } from "./scene.ts";

/** Share of the visible area scrolled at once, and px of the next item that are then visible. From memory. */
const scrolledAtOnce = 0.8;
const seenOfNext = 40;

/** A shopper's view of a page: scroll positions, the open panel, and the seconds and px spent so far. */
export class Attention {
  readonly pace: Pace;
  seconds = 0;
  px = 0;
  readonly #scene: Scene;
  readonly #assumed: Readonly<Record<AssumptionName, number>>;
  /** Scroll position of the page, and of anything that scrolls separately: a drawer, or a sticky panel. */
  #page = 0;
  #own = 0;
  /** The open panel that covers the products. */
  #inside: string | undefined;

  constructor(scene: Scene, assumed: Readonly<Record<AssumptionName, number>>) {
    const operators = operatorsOn(scene.band, assumed);
    this.pace = { of: (acts) => secondsOf(acts, operators), read: assumed.read };
    this.#scene = scene;
    this.#assumed = assumed;
  }

  /** Whether a panel covers the products. */
  get isInside(): boolean {
    return this.#inside !== undefined;
  }

  /** Spends the time of some operators. */
  act(...acts: Operator[]): void {
    this.seconds += this.pace.of(acts);
  }

  /** Spends the time to read a number of options or titles. */
  read(count: number): void {
    this.seconds += this.#assumed.read * count;
  }

  /** Looks at a number of cards from the first, scrolling if they extend below the screen. */
  lookAtCards(count: number): void {
    const { cards, screen } = this.#scene;
    this.seconds += this.#assumed.look * count;
    const end = cards.top + Math.ceil(count / cards.columns) * cards.height;
    if (count > 0) this.scrollTo(Math.max(this.#page, end - screen));
  }

  /** Scrolls the page to a position in px. */
  scrollTo(y: number): void {
    this.#scroll(Math.abs(y - this.#page));
    this.#page = y;
  }

  /** The page scrolls to its top, without effort by the shopper. */
  jumpToTop(): void {
    this.#page = 0;
  }

  #scroll(px: number): void {
    this.px += px;
    this.seconds += this.#assumed.scroll * (px / this.#scene.screen);
  }

  /** Goes to a panel, opening it if it is behind a button. */
  enter(panel: ScenePanel): void {
    if (this.#inside === panel.slug) return;
    this.leave();
    if (!panel.sticky) this.scrollTo(0);
    this.#own = 0;
    if (panel.entry === "open") return;
    this.act("M", "P", "B");
    this.#inside = panel.slug;
  }

  /** Closes whatever covers the products, by its button. @returns whether anything did */
  leave(): boolean {
    if (this.#inside === undefined) return false;
    this.act("P", "B");
    this.#inside = undefined;
    this.#own = 0;
    return true;
  }

  /** The facets of a panel in order of appearance, screen by screen; requesting the next may scroll. */
  *scan(panel: ScenePanel, facets: readonly SceneFacet[]): Generator<SceneFacet[]> {
    const end = Math.max(...facets.map(({ top, height }) => top + height), 0);
    const scrollsItself = panel.entry !== "open" || panel.sticky;
    for (let seen = 0; ; ) {
      const to = scrollsItself ? this.#own + panel.window : this.#page + panel.window - panel.top;
      yield facets.filter(({ top }) => top >= seen && top < to);
      if (to >= end) return;
      seen = to;
      const step = Math.min(panel.window * scrolledAtOnce, end - to + seenOfNext);
      this.#scroll(step);
      if (scrollsItself) this.#own += step;
      else this.#page += step;
    }
  }
}
