/** A site's own list of 3,000 products with a handoff's panel beside it: `npm run bench -- --own-list`. */
import { type Browser, chromium, type Page } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";
import { serveFiles } from "../tests/static-server.ts";
import { handedOver } from "./handoff.ts";
import { makeShop } from "./made-shop.ts";
import { type Timing, timing } from "./timing.ts";

const rows = 3000;
const facets = 6;
const repeats = 12;

export const benchOwnList = (): Promise<Timing[]> =>
  withServer(4388, async (origin) => {
    const { shop } = await makeShop(origin, rows, facets);
    // As product lists are: without a marker.
    const { site, head, panel } = await handedOver(origin, shop, "ul { list-style: none; padding: 0; }");
    const items = Array.from(
      { length: rows },
      (_, p) => `<li data-trellis-product="p${p}"><h3>Product ${p}</h3><p>A line about it, and a price.</p></li>`,
    );
    const list = `<p data-trellis-count=""></p><select data-trellis-sort="" aria-label="Sort by"></select><ul data-trellis-list="">${items.join("")}</ul>`;
    site.page("page.html", head, panel + list);
    const server = await serveFiles({ "/": site.root }, { packed: true });
    const browser = await chromium.launch(launch);
    try {
      return await measured(browser, `${server.origin}/page.html`);
    } finally {
      await browser.close();
      await server.close();
    }
  });

/** Times of acts in ms until their result is painted, and the longest task of them. */
interface Acts {
  times: number[];
  longest: number;
}

async function measured(browser: Browser, address: string): Promise<Timing[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // The loader that runs this file marks functions with a helper that a page does not have.
  await page.addInitScript("window.__name = (it) => it");
  await page.goto(address);
  await page.waitForFunction(() => document.querySelector("[data-trellis-sort] option:nth-child(2)"));
  // What loads late has loaded then.
  await page.waitForTimeout(4000);
  const choices = await acts(page, "trellis-panel input[type=checkbox]");
  const sorts = await acts(page, "[data-trellis-sort] option");
  const of = (name: string, { times, longest }: Acts) => [
    timing(`${name}, to the painted result`, times, 100),
    timing(`${name}, the longest task`, [longest], 50),
  ];
  return [
    ...of(`a choice over ${rows} rows of a site`, choices),
    ...of(`a sort order of ${rows} rows of a site`, sorts),
  ];
}

/** Clicks on boxes, twice each, or selects options, one after another. Source of long tasks: W3C Long Tasks. */
const acts = (page: Page, selector: string): Promise<Acts> =>
  page.evaluate(
    async ({ selector, repeats }) => {
      const tasks: number[] = [];
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) tasks.push(duration);
      }).observe({ type: "longtask" });
      const times: number[] = [];
      for (let n = 0; n < repeats; n++) {
        const all = [...document.querySelectorAll<HTMLElement>(selector)];
        const shown = new Promise((done) => document.addEventListener("trellis-results", done, { once: true }));
        const start = performance.now();
        const one = all[selector.endsWith("option") ? (n + 1) % all.length : n >> 1];
        if (one instanceof HTMLOptionElement && one.parentElement instanceof HTMLSelectElement) {
          one.parentElement.value = one.value;
          one.parentElement.dispatchEvent(new Event("change", { bubbles: true }));
        } else one?.click();
        await shown;
        await new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done)));
        times.push(performance.now() - start);
        await new Promise((done) => setTimeout(done, 300));
      }
      return { times, longest: Math.max(0, ...tasks) };
    },
    { selector, repeats },
  );
