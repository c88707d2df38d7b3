import { type Box, layoutShift } from "../../src/core/findings/layout-shift.ts";
import { demoShop, newShop, openBench } from "./bench.ts";
import { expect, test } from "./test.ts";

const viewport = { width: 1280, height: 800 };

// Source: the browser's own layout-shift entries (Layout Instability API), for known moves.
test("the score of a known move is the browser's own", async ({ page }) => {
  for (const by of [40, 92, 300]) {
    await page.goto("about:blank");
    await page.setContent(`<style>body{margin:0}div{position:absolute;background:#888}</style>
      <div id="a" style="left:100px;top:120px;width:400px;height:260px">A</div>
      <div id="b" style="left:600px;top:500px;width:300px;height:200px">B</div>
      <div id="still" style="left:1000px;top:10px;width:100px;height:100px">C</div>`);
    await page.evaluate(() => {
      Object.assign(window, { score: 0 });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries())
          (window as unknown as { score: number }).score += (entry as unknown as { value: number }).value;
      }).observe({ type: "layout-shift" });
    });
    // Nobody has touched the page, so the browser leaves nothing out.
    await page.waitForTimeout(100);
    const boxes = () =>
      page.evaluate(() =>
        [...document.querySelectorAll("div")].map((element) => {
          const { x, y, width, height } = element.getBoundingClientRect();
          return { x, y, width, height };
        }),
      );
    const before = await boxes();
    await page.evaluate((px) => {
      for (const id of ["a", "b"]) {
        const element = document.getElementById(id);
        if (element) element.style.top = `${element.offsetTop + px}px`;
      }
    }, by);
    const after = await boxes();
    await expect.poll(() => page.evaluate(() => (window as unknown as { score: number }).score)).toBeGreaterThan(0);
    const theirs = await page.evaluate(() => (window as unknown as { score: number }).score);
    const seen = ({ x, y, width, height }: Box): Box => ({
      x,
      y,
      width,
      height: Math.max(0, Math.min(height, viewport.height - y)),
    });
    const ours = layoutShift(
      before.map((box, i) => ({
        before: seen(box),
        after: seen(after[i]),
        dx: after[i].x - box.x,
        dy: after[i].y - box.y,
      })),
      viewport,
    );
    expect(ours).toBeCloseTo(theirs, 3);
  }
});

test("every row is tried on every band; dropping what leads nowhere is felt, told, and mended in one step", async ({
  page,
}) => {
  const bench = await openBench(page, true, await newShop(page.request, "Tried"));
  // Plants have no material: choosing them leaves the first facet with nothing, and what is below it jumps.
  for (const name of ["Material", "Category"]) await bench.addFacet(name);
  await page.getByRole("button", { name: "Settings of Material" }).click();
  await page.getByRole("radiogroup", { name: "Empty options" }).getByText("hide").click();
  await page.getByRole("button", { name: /^shift not measured/ }).click();
  await page.getByRole("button", { name: "Measure every row" }).click();
  const row = page.getByRole("row", { name: /^Category/ });
  for (const n of [0, 1, 2]) await expect(row.getByRole("cell").nth(n)).toHaveText(/still|\d\.\d{3}/);
  await expect(page.getByRole("button", { name: /^shift \d\.\d\d/ })).toBeVisible();
  await expect(row.getByRole("cell").first()).toHaveText(/(choose|take back) 0\.\d{3}/);
});

/** A step as the trial has told it, beside what the browser's own entries come to in its time. */
interface Step {
  row: string;
  step: string;
  felt: number;
  browser: number;
  /** How far the page has scrolled by itself, in px. */
  scrolled: number;
}

interface Noted {
  ready: Promise<void>;
  tried: Promise<void>;
  stepsTried(): Step[];
}

/** Notes the browser's entries, and after a trial tells each step with what they come to between its start and its end. */
function noteShifts(): void {
  const entries: { value: number; startTime: number }[] = [];
  new PerformanceObserver((list) => entries.push(...(list.getEntries() as unknown as typeof entries))).observe({
    type: "layout-shift",
    buffered: true,
  });
  const heard = (what: string) =>
    new Promise<void>((done) => addEventListener("message", ({ data }) => data.zt === what && done()));
  Object.assign(window, {
    ready: heard("ready"),
    tried: heard("tried"),
    stepsTried: (): Step[] =>
      (performance.getEntriesByName("trial") as PerformanceMeasure[]).map(({ startTime, duration, detail }) => ({
        ...detail,
        browser: entries
          .filter((entry) => entry.startTime >= startTime && entry.startTime <= startTime + duration)
          .reduce((sum, { value }) => sum + value, 0),
      })),
  });
}

// Source: the browser's own layout-shift entries. Nobody touches the page, so it leaves nothing out.
test.describe("steps of a trial move as much as the browser says", () => {
  for (const [band, width, height] of [
    ["wide", 1280, 800],
    ["medium", 820, 1100],
    ["slim", 390, 844],
  ] as const)
    test(`on a ${band} page`, async ({ page }) => {
      await page.addInitScript(noteShifts);
      await page.setViewportSize({ width, height });
      await page.goto(`/draft/${demoShop}/?stage&panel=climber-finder`);
      const { document: panel } = await (
        await page.request.get(`/api/shops/${demoShop}/documents/panel/climber-finder`)
      ).json();
      const steps = await page.evaluate(async (panel) => {
        const { ready, tried, stepsTried } = window as unknown as Noted;
        await ready;
        postMessage({ zt: "panel", slug: "climber-finder", panel }, location.origin);
        // Browsers leave out the first move of what has just been shown: rows of a drawer move once beforehand.
        postMessage({ zt: "drawer", open: true }, location.origin);
        for (let i = 0; i < 2; i++) {
          await new Promise((done) => setTimeout(done, 500));
          document.querySelector<HTMLElement>(".zt-fold")?.click();
        }
        await new Promise((done) => setTimeout(done, 500));
        postMessage({ zt: "trial" }, location.origin);
        await tried;
        return stepsTried();
      }, panel);
      expect(steps.length).toBeGreaterThanOrEqual(30);
      for (const { row, step, felt, browser, scrolled } of steps) {
        expect(felt, `${row}, ${step}`).toBeGreaterThan(browser - 0.01);
        // While it scrolls the page itself, a browser sees states between that are never painted, and sums shorter ways.
        if (scrolled === 0) expect(felt, `${row}, ${step}`).toBeLessThan(browser + 0.01);
      }
    });
});
