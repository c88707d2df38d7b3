/**
 * How long a shopper's click and a designer's change take, in the built application and a real browser.
 * Milliseconds of this machine; the share of the aim is what to compare between machines.
 */
import { chromium, type Page } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";
import { answered } from "../tests/end-to-end/shop-page.ts";
import { makeShop } from "./made-shop.ts";
import { type Timing, timing } from "./timing.ts";

const repeats = 40;

/** Measures against a server with the demo shop. */
export const benchInterface = (): Promise<Timing[]> =>
  withServer(4398, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      // The loader that runs this file marks functions with a helper that a page does not have.
      await page.addInitScript("window.__name = (it) => it");
      const made = await makeShop(origin, 20_000, 30);
      const large = { ...made, name: ", 30 facets over 20,000 products", row: "Field 3", id: "f3" };
      const small = { name: "", shop: "larkmoss-nursery", panel: "climber-finder", row: "Light", id: "f-light" };
      return [
        ...(await shopperClick(page, origin, small)),
        await designerChange(page, origin, small),
        ...(await shopperClick(page, origin, large)),
        await designerChange(page, origin, large),
      ];
    } finally {
      await browser.close();
    }
  });

/** Where to measure, and the row that is taken away and put back. */
interface Place {
  name: string;
  shop: string;
  panel: string;
  row: string;
  id: string;
}

/**
 * From a click on an option until the page's script has answered it, and until the frame with the result
 * is on the screen, as the browser itself measures both. Source: W3C Event Timing, which rounds the second
 * to 8 ms. Headless Chromium paints on the processor here, pictures included; a screen with a GPU is faster.
 */
async function shopperClick(page: Page, origin: string, place: Place): Promise<Timing[]> {
  await page.addInitScript(() => {
    const clicks: { answered: number; painted: number }[] = [];
    Object.assign(window, { clicks });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as PerformanceEventTiming[]) {
        if (entry.name === "click")
          clicks.push({ answered: entry.processingEnd - entry.startTime, painted: entry.duration });
      }
    }).observe({ type: "event", durationThreshold: 16, buffered: true } as PerformanceObserverInit);
  });
  await page.goto(`${origin}/draft/${place.shop}/?panel=${place.panel}`);
  await page.waitForSelector("html[data-ready]");
  const boxes = page.locator(".zt-facet input[type=checkbox]:not([role=switch]):visible");
  for (let i = 0; i < repeats; i++) {
    const before = await page.locator(".zt-total").textContent();
    await boxes
      .nth(i >> 1)
      .locator("..")
      .click();
    await answered(page);
    await page.waitForTimeout(30);
    if ((await page.locator(".zt-total").textContent()) === before) throw new Error("The click changed nothing.");
  }
  const times = await page.evaluate(() =>
    "clicks" in window ? (window.clicks as { answered: number; painted: number }[]) : [],
  );
  return [
    timing(
      `a shopper's click to the script's answer${place.name}`,
      times.map(({ answered }) => answered),
      20,
    ),
    timing(
      `a shopper's click to the painted result${place.name}`,
      times.map(({ painted }) => painted),
      50,
    ),
  ];
}

/** From a change on the bench to the frame in which both pages on the stage show it. */
async function designerChange(page: Page, origin: string, place: Place): Promise<Timing> {
  await page.goto(`${origin}/shops/${place.shop}/bench/${place.panel}`);
  for (const title of ["Wide page", "Phone"])
    await page.frameLocator(`iframe[title^="${title}"]`).locator("html[data-ready]").waitFor({ state: "attached" });
  await page.getByRole("button", { name: `More for ${place.row}`, exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Remove", exact: true }).click();
  const times = await page.evaluate(
    async ({ repeats, id }) => {
      const shown = () =>
        [...document.querySelectorAll("iframe")].map(
          (frame) => frame.contentDocument?.querySelector(`[data-row="${id}"]`) !== null,
        );
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
    },
    { repeats, id: place.id },
  );
  return timing(`a change on the bench to both pages on the stage${place.name}`, times, 100);
}
