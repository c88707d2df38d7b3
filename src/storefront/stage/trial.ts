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

/** Maximum time to wait for an answer, in ms. */
const patience = 3000;

/**
 * Tries the rows of a panel as a shopper would, on a hidden page, and finds for each the step that moves the page
 * most. Discards the page's selection.
 * @param panel to try
 */
export async function tryRows(store: PageStore, slug: string, panel: PanelDocument): Promise<RowShift[]> {
  const shown = () => store.state.panels.find((one) => one.slug === slug);
  // The page may still show the previous panel, until the change is answered.
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

/** Collapses and expands a row, if it can be collapsed. */
async function tryFold(root: Element, row: FacetRow, element: Element): Promise<Shift[]> {
  const button = element.querySelector<HTMLButtonElement>(".zt-fold");
  if (!button) return [];
  const first: TrialStep = button.getAttribute("aria-expanded") === "true" ? "fold" : "open";
  const press = async () => button.click();
  return [await step(root, row, first, press), await step(root, row, first === "fold" ? "open" : "fold", press)];
}

/** Makes choices in a row and removes them: the options with the most, the fewest and a medium number of products. */
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

/** Of a row's options, those with the most, fewest and a medium number of products; of a range, its halves. */
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

/** Performs a step and sums what it moved, frame by frame as browsers do, until the page has settled. */
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
  // Elements out of view follow one frame later.
  for (let i = 0; i < 3; i++) {
    await frame();
    look();
  }
  // Recorded in the browser's own performance timeline, beside its layout shifts.
  performance.measure("trial", {
    start,
    end: performance.now(),
    detail: { row: id, step: name, felt, scrolled: scrollY - scrolled },
  });
  return { step: name, felt, counted };
}

/** Applies a selection as if from the stage, so that no other frame follows. */
async function choose(store: PageStore, selection: Selection): Promise<void> {
  store.setSelection(selection);
  await until(() => store.settled);
}

/** An element, once it is rendered: new rows follow a change by some frames. */
async function drawn(root: Element, selector: string): Promise<Element | null> {
  await until(() => root.querySelector(selector) !== null, 1000);
  return root.querySelector(selector);
}

/** Waits, frame by frame, until a condition holds. @param most maximum time, in ms */
async function until(isSo: () => boolean, most = patience): Promise<void> {
  const start = performance.now();
  while (!isSo() && performance.now() - start < most) await frame();
}

/** A few frames: parts out of sight follow one frame later. */
async function painted(): Promise<void> {
  for (let i = 0; i < 3; i++) await frame();
}

/** The end of the next frame, just before painting, or a short time on a hidden page, which paints none. */
const frame = (): Promise<void> =>
  new Promise((done) => {
    const over = () => {
      clearTimeout(timer);
      observer.disconnect();
      done();
    };
    const timer = setTimeout(over, 50);
    // An observer runs after all callbacks of a frame.
    const observer = new ResizeObserver(over);
    observer.observe(document.documentElement);
  });
