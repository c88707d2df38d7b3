import type { Choice, Selection } from "../../core/engine/question.ts";
import { emptySelection, withChoice } from "../../core/engine/selection.ts";
import { afterInput, type RowShift, type TrialStep } from "../../core/findings/layout-shift.ts";
import { offeredOptions, shownOn } from "../../core/panel/offered.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../../core/panel/panel-schema.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { placeOf } from "../page/page-panel.ts";
import type { PageStore } from "../page/store.ts";
import { shiftBetween, takeSnapshot } from "./snapshot.ts";

/** Longest that an answer is waited for, in ms. */
const patience = 3000;

/**
 * Goes through the rows of a panel as a shopper would, on a page that is not visible, and tells for each which step
 * moves the page most. What is chosen on the page before is forgotten.
 * @param panel as it is to be tried
 */
export async function tryRows(store: PageStore, slug: string, panel: PanelDocument): Promise<RowShift[]> {
  const shown = () => store.state.panels.find((one) => one.slug === slug);
  // The page may still show the panel as it was drawn, until its changes are answered.
  await until(() => shown()?.panel === panel);
  const one = shown();
  const root = document.getElementById("zt-page");
  if (!one || !root) return [];
  const { form } = placementFacts[placeOf(one, store.state.band)];
  if (form === "hidden") return [];
  if (form === "drawer") store.openDrawer(slug);
  await choose(store, emptySelection);
  const found: RowShift[] = [];
  for (const row of facetRows(one.panel)) {
    const element = await drawn(root, `[data-panel="${CSS.escape(slug)}"] [data-row="${CSS.escape(row.id)}"]`);
    if (!element) continue;
    // A sliding drawer does not count as a shift.
    await Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => undefined)));
    element.scrollIntoView({ block: "center" });
    await painted();
    const steps = [...(await tryFold(root, row, element)), ...(await tryChoice(store, root, row))];
    const worst = steps.reduce<Shift | undefined>(
      (most, step) => (step.felt > (most?.felt ?? -1) ? step : most),
      undefined,
    );
    if (worst) found.push({ row: row.id, ...worst });
  }
  return found;
}

type Shift = Omit<RowShift, "row">;

/** Folds a row and opens it again, where it can be. */
async function tryFold(root: Element, row: FacetRow, element: Element): Promise<Shift[]> {
  const button = element.querySelector<HTMLButtonElement>(".zt-fold");
  if (!button) return [];
  const first: TrialStep = button.getAttribute("aria-expanded") === "true" ? "fold" : "open";
  const press = async () => button.click();
  return [await step(root, row, first, press), await step(root, row, first === "fold" ? "open" : "fold", press)];
}

/** Chooses in a row and takes it back: what is found most, least and in between. */
async function tryChoice(store: PageStore, root: Element, row: FacetRow): Promise<Shift[]> {
  const steps: Shift[] = [];
  for (const choice of choicesFor(store, row)) {
    const chosen = withChoice(emptySelection, row.field, choice);
    steps.push(
      await step(root, row, "choose", () => choose(store, chosen)),
      await step(root, row, "take back", () => choose(store, emptySelection)),
    );
  }
  return steps;
}

/** Of the options that a row offers, the one with most products, the one with fewest and one in the middle; of a range, halves. */
function choicesFor({ state }: PageStore, row: FacetRow): Choice[] {
  const found = state.answer.facets[row.field];
  if (!found) return [];
  if (row.mode === "range") {
    if (found.ranges.length > 0) return thirds(found.ranges);
    const { min, max } = found.range?.steady ?? { min: null, max: null };
    return min === null || max === null ? [] : [{ max: (min + max) / 2 }, { min: (min + max) / 2 }];
  }
  const { steady } = found.counts;
  const offered = offeredOptions(row, shownOn(row, state.band), found, state.language)
    .sort((a, b) => (steady[b] ?? 0) - (steady[a] ?? 0))
    .flatMap((at) => found.options[at] ?? []);
  return thirds(offered).map(({ id }) => ({ options: [id] }));
}

/** The first, the last and the middle one of a list, each once. */
const thirds = <T>(list: readonly T[]): T[] =>
  [...new Set([0, list.length - 1, list.length >> 1])].flatMap((at) => list[at] ?? []);

/** Does something and sums what it moved, frame by frame as browsers do, until the page has settled. */
async function step(root: Element, { id }: FacetRow, name: TrialStep, act: () => Promise<void>): Promise<Shift> {
  const start = performance.now();
  const scrolled = scrollY;
  let [before, felt, counted] = [takeSnapshot(root), 0, 0];
  const look = () => {
    const now = takeSnapshot(root);
    const moved = shiftBetween(before, now);
    before = now;
    felt += moved;
    if (performance.now() - start > afterInput) counted += moved;
  };
  let over = false;
  const done = act().finally(() => {
    over = true;
  });
  while (!over) {
    await frame();
    look();
  }
  await done;
  // Elements out of view follow the rest by one frame.
  for (let i = 0; i < 3; i++) {
    await frame();
    look();
  }
  // Stands in the browser's own record of the page, beside its entries.
  performance.measure("trial", {
    start,
    end: performance.now(),
    detail: { row: id, step: name, felt, scrolled: scrollY - scrolled },
  });
  return { step: name, felt, counted };
}

/** Shows what is chosen and its result, told as coming from the stage so that nobody else follows. */
async function choose(store: PageStore, selection: Selection): Promise<void> {
  store.setSelection(selection);
  await until(() => store.settled);
}

/** An element, once it is drawn: rows that have just come follow what changed them by some frames. */
async function drawn(root: Element, selector: string): Promise<Element | null> {
  await until(() => root.querySelector(selector) !== null, 1000);
  return root.querySelector(selector);
}

/** Waits, by frames, until something is so. @param most how long, in ms */
async function until(isSo: () => boolean, most = patience): Promise<void> {
  const start = performance.now();
  while (!isSo() && performance.now() - start < most) await frame();
}

/** A few frames: what is out of sight follows the rest by one. */
async function painted(): Promise<void> {
  for (let i = 0; i < 3; i++) await frame();
}

/** The end of the next frame, as it is about to be painted, or a moment where a hidden page paints none. */
const frame = (): Promise<void> =>
  new Promise((done) => {
    const over = () => {
      clearTimeout(timer);
      observer.disconnect();
      done();
    };
    const timer = setTimeout(over, 50);
    // An observer tells first when all that runs in a frame has run.
    const observer = new ResizeObserver(over);
    observer.observe(document.documentElement);
  });
