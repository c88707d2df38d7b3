/**
 * How long a shopper's click and a designer's change take, in the built application and a real browser.
 * Milliseconds of this machine; the share of the aim is what to compare between machines.
 */
import { chromium, type Page } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";

const repeats = 40;

/** One thing measured, against what was aimed at. */
export interface Timing {
  name: string;
  median_ms: number;
  worst_ms: number;
  aim_ms: number;
}

/** Measures against a server with the demo shop. */
export const benchInterface = (): Promise<Timing[]> =>
  withServer(4398, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      // The loader that runs this file marks functions with a helper that a page does not have.
      await page.addInitScript("window.__name = (it) => it");
      return [...(await shopperClick(page, origin)), await designerChange(page, origin)];
    } finally {
      await browser.close();
    }
  });

/**
 * From a click on an option until the page's script has answered it, and until the frame with the result
 * is on the screen, as the browser itself measures both. Source: W3C Event Timing, which rounds the second
 * to 8 ms. Headless Chromium paints on the processor here, pictures included; a screen with a GPU is faster.
 */
async function shopperClick(page: Page, origin: string): Promise<Timing[]> {
  await page.addInitScript(() => {
    const clicks: { answered: number; painted: number }[] = [];
    Object.assign(window, { clicks });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as PerformanceEventTiming[]) {
        if (entry.name === "click") clicks.push({ answered: entry.processingEnd - entry.startTime, painted: entry.duration });
      }
    }).observe({ type: "event", durationThreshold: 16, buffered: true } as PerformanceObserverInit);
  });
  await page.goto(`${origin}/shop/larkmoss-nursery/`);
  await page.waitForSelector("html[data-ready]");
  const boxes = page.locator(".zt-facet input[type=checkbox]:visible");
  for (let i = 0; i < repeats; i++) {
    const before = await page.locator(".zs-total").textContent();
    await boxes.nth(i >> 1).click();
    await page.waitForTimeout(150);
    if ((await page.locator(".zs-total").textContent()) === before) throw new Error("The click changed nothing.");
  }
  const times = await page.evaluate(() => (window as unknown as { clicks: { answered: number; painted: number }[] }).clicks);
  return [
    summary(
      "a shopper's click to the script's answer",
      times.map(({ answered }) => answered),
      50,
    ),
    summary(
      "a shopper's click to the painted result",
      times.map(({ painted }) => painted),
      50,
    ),
  ];
}

/** From a change on the bench to the frame in which both pages on the stage show it. */
async function designerChange(page: Page, origin: string): Promise<Timing> {
  await page.goto(`${origin}/shops/larkmoss-nursery/bench`);
  for (const title of ["Wide page", "Phone"])
    await page.frameLocator(`iframe[title^="${title}"]`).locator("html[data-ready]").waitFor({ state: "attached" });
  await page.getByRole("button", { name: "More for Light" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Remove", exact: true }).click();
  const times = await page.evaluate(async (repeats) => {
    const shown = () =>
      [...document.querySelectorAll("iframe")].map((frame) => frame.contentDocument?.querySelector('[data-row="f-light"]') !== null);
    const frame = () => new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done)));
    const times: number[] = [];
    for (let i = 0; i < repeats; i++) {
      const back = i % 2 === 0;
      await new Promise((done) => setTimeout(done, 30));
      const start = performance.now();
      document.querySelector<HTMLButtonElement>(`button[aria-label^="${back ? "Undo" : "Redo"}"]`)?.click();
      while (!shown().every((there) => there === back)) await frame();
      await frame();
      times.push(performance.now() - start);
    }
    return times;
  }, repeats);
  return summary("a change on the bench to both pages on the stage", times, 100);
}

function summary(name: string, times: number[], aim: number): Timing {
  const sorted = [...times].sort((a, b) => a - b);
  const round = (ms: number) => Math.round(ms * 10) / 10;
  return { name, median_ms: round(sorted[sorted.length >> 1]), worst_ms: round(sorted[sorted.length - 1]), aim_ms: aim };
}
