import type { Operator } from "../displays/interaction-cost.ts";
import type { Pace } from "./answer-of.ts";
import type { AssumptionName } from "./assumptions.ts";
import { operatorsOn, secondsOf } from "./operators.ts";
import type { Scene, SceneFacet, ScenePanel } from "./scene.ts";

/** A share of what is in sight that is scrolled on at once, and px of the next that are then seen. From memory. */
const scrolledAtOnce = 0.8;
const seenOfNext = 40;

/** What a shopper looks at on a page: how far it is scrolled, which panel is open, and the seconds and px spent so far. */
export class Attention {
  readonly pace: Pace;
  seconds = 0;
  px = 0;
  readonly #scene: Scene;
  readonly #assumed: Readonly<Record<AssumptionName, number>>;
  /** How far the page is scrolled, and what scrolls by itself: a drawer, or a panel that stays in sight. */
  #page = 0;
  #own = 0;
  /** The panel that has been opened and covers the products. */
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

  /** Spends the time to read so many options or titles. */
  read(count: number): void {
    this.seconds += this.#assumed.read * count;
  }

  /** Looks at so many cards, from the first, and scrolls on where they end below the screen. */
  lookAtCards(count: number): void {
    const { cards, screen } = this.#scene;
    this.seconds += this.#assumed.look * count;
    const end = cards.top + Math.ceil(count / cards.columns) * cards.height;
    if (count > 0) this.scrollTo(Math.max(this.#page, end - screen));
  }

  /** Scrolls the page to a height in px. */
  scrollTo(y: number): void {
    this.#scroll(Math.abs(y - this.#page));
    this.#page = y;
  }

  /** The page goes to its top by itself, which costs nothing. */
  jumpToTop(): void {
    this.#page = 0;
  }

  #scroll(px: number): void {
    this.px += px;
    this.seconds += this.#assumed.scroll * (px / this.#scene.screen);
  }

  /** Goes to a panel, and opens it where it is behind a button. */
  enter(panel: ScenePanel): void {
    if (this.#inside === panel.slug) return;
    this.leave();
    if (!panel.sticky) this.scrollTo(0);
    this.#own = 0;
    if (panel.entry === "open") return;
    this.act("M", "P", "B");
    this.#inside = panel.slug;
  }

  /** Closes what covers the products, by the button that shows them. @returns whether something did */
  leave(): boolean {
    if (this.#inside === undefined) return false;
    this.act("P", "B");
    this.#inside = undefined;
    this.#own = 0;
    return true;
  }

  /** The facets of a panel as they come in sight, screen by screen; asking for the next scrolls on. */
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
