/**
 * What a shopper's phone waits for: `npm run bench -- --page`. A phone of 390 px with 150 ms of latency, 1.6 Mbit/s and
 * a processor slowed four times, as Chromium slows them. The latency is added to each request, not to each packet.
 */
import { type Browser, chromium } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";
import { benchHandoff, type HandoffCase } from "./handoff.ts";
import { makeShop } from "./made-shop.ts";
import { loads, percentile, phone, slowed } from "./phone.ts";
import { benchVisit, type Visit } from "./visit.ts";

/** Measurements of one page. Times in ms from the start of the navigation, sizes in kB over the wire. */
export interface PageCase {
  name: string;
  awake_ms: number;
  /** All that came before it was awake but fonts and pictures. */
  awake_kb: number;
  lcp_ms: number;
  /** From the touch to the next frame, by Event Timing: 75th percentile and worst. */
  tap_ms: { p75: number; worst: number };
  /** From the touch until the number found has changed on the screen. */
  result_ms: { median: number; worst: number };
  /** Layout shift of loading and waking, as browsers count it, by page width. */
  shift: Record<number, number>;
}

const widths = [390, 834, 1280, 1920];
const taps = 16;

/** @param sizes products, by the facets of the panel; the demo shop is always measured */
export const benchPage = (
  sizes: readonly [products: number, facets: number][],
): Promise<(PageCase | HandoffCase | Visit)[]> =>
  withServer(4392, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const cases: (PageCase | HandoffCase)[] = [
        await measure(browser, "the demo shop", `${origin}/draft/larkmoss-nursery/`),
        await benchHandoff(browser, "the handoff of the demo shop", origin, "larkmoss-nursery"),
      ];
      for (const [products, facets] of sizes) {
        const { shop, panel } = await makeShop(origin, products, facets);
        const name = `${facets} facets over ${products.toLocaleString("en")} products`;
        cases.push(
          await measure(browser, name, `${origin}/draft/${shop}/?panel=${panel}`),
          await benchHandoff(browser, `the handoff of ${name}`, origin, shop),
        );
      }
      const visit = await benchVisit(browser, "2,000 choices in the demo shop", `${origin}/draft/larkmoss-nursery/`);
      return [...cases, visit];
    } finally {
      await browser.close();
    }
  });

async function measure(browser: Browser, name: string, address: string): Promise<PageCase> {
  // The first visitor of all waits for the server's own catalogue; that is another figure.
  await fetch(address);
  const { awake, bytes, lcp } = await loads(browser, address, "document.documentElement.dataset.ready !== undefined");
  const shift: Record<number, number> = {};
  for (const width of widths) shift[width] = await shiftAt(browser, address, width);
  return {
    name,
    awake_ms: awake,
    awake_kb: bytes / 1000,
    lcp_ms: lcp,
    ...(await tapping(browser, address)),
    shift,
  };
}

/** Taps options of the panel's drawer, as soon as it is awake and while the catalogue may still be on its way. */
async function tapping(browser: Browser, address: string): Promise<Pick<PageCase, "tap_ms" | "result_ms">> {
  const context = await browser.newContext(phone);
  try {
    const page = await context.newPage();
    await slowed(page);
    // The loader that runs this file marks functions with a helper that a page does not have.
    await page.addInitScript("window.__name = (it) => it");
    await page.addInitScript(() => {
      const events: number[] = [];
      Object.assign(window, { events });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & { interactionId?: number })[])
          if (entry.interactionId) events.push(entry.duration);
      }).observe({ type: "event", durationThreshold: 16, buffered: true } as PerformanceObserverInit);
    });
    await page.goto(address);
    await page.waitForSelector("html[data-ready]", { state: "attached", timeout: 120_000 });
    await page.getByRole("button", { name: "Filters" }).first().tap();
    const results: number[] = [];
    const options = page.locator("dialog[open] .zt-facet label:has(input[type=checkbox]:not([role=switch])):visible");
    for (let n = 0; n < taps; n++) {
      const option = options.nth(n >> 1);
      await option.scrollIntoViewIfNeeded();
      await page.evaluate(() => {
        const total = () => document.querySelector(".zt-total")?.textContent;
        const before = total();
        let start = 0;
        addEventListener(
          "pointerdown",
          () => {
            start = performance.now();
          },
          { once: true, capture: true },
        );
        Object.assign(window, { changed: undefined });
        const observer = new MutationObserver(() => {
          if (total() === before || start === 0) return;
          observer.disconnect();
          requestAnimationFrame(() => setTimeout(() => Object.assign(window, { changed: performance.now() - start })));
        });
        observer.observe(document.body, { subtree: true, childList: true, characterData: true });
      });
      await option.tap();
      const changed = await page.waitForFunction(() => Reflect.get(window, "changed"), undefined, { timeout: 30_000 });
      results.push(Number(await changed.jsonValue()));
      await page.waitForTimeout(100);
    }
    // Events shorter than the threshold are not told; they count as it.
    const told = await page.evaluate(() => Reflect.get(window, "events") as number[]);
    const events = [...told, ...Array.from({ length: Math.max(0, taps - told.length) }, () => 16)];
    return {
      tap_ms: { p75: percentile(events, 0.75), worst: percentile(events, 1) },
      result_ms: { median: percentile(results, 0.5), worst: percentile(results, 1) },
    };
  } finally {
    await context.close();
  }
}

async function shiftAt(browser: Browser, address: string, width: number): Promise<number> {
  const context = await browser.newContext({ viewport: { width, height: 800 } });
  try {
    const page = await context.newPage();
    await slowed(page);
    await page.addInitScript(() => {
      Object.assign(window, { shift: 0 });
      new PerformanceObserver((list) => {
        for (const { value } of list.getEntries() as (PerformanceEntry & { value: number })[])
          Object.assign(window, { shift: Reflect.get(window, "shift") + value });
      }).observe({ type: "layout-shift", buffered: true });
    });
    await page.goto(address);
    await page.waitForSelector("html[data-ready]", { state: "attached", timeout: 120_000 });
    await page.waitForTimeout(1000);
    return await page.evaluate(() => Number(Reflect.get(window, "shift")));
  } finally {
    await context.close();
  }
}
