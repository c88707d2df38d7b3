/** The cost of pages: their products and first answer, the table of pages, and a different page on the stage. */
import { chromium } from "@playwright/test";
import { countsOf } from "../src/core/engine/engine.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../src/core/engine/local-engine.ts";
import type { Clause, Facet } from "../src/core/engine/question.ts";
import { pageFigures } from "../src/core/findings/page/figures.ts";
import { pagesKind } from "../src/core/page/kind.ts";
import { collectionAddress } from "../src/core/page/page-list.ts";
import { emptyPanel, newFacet } from "../src/core/panel/panel.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import { launch, withServer } from "../tests/browser.ts";
import { fieldKeys, syntheticCatalogue, syntheticProducts } from "./synthetic.ts";
import { type Timing, timing } from "./timing.ts";

const facets: Facet[] = fieldKeys.map((field) => ({ field, mode: "any" }));

/** Measures all three. */
export async function benchPages(): Promise<Timing[]> {
  return [firstAnswer(), await table(), await stage()];
}

/** A page that nobody has asked for yet, over a field of products and one of variants: its products and its first counts. */
function firstAnswer(): Timing {
  const index = new CatalogueIndex(syntheticCatalogue(syntheticProducts(100_000, 3)));
  for (const key of fieldKeys) index.options(key);
  const pages = Array.from({ length: 20 }, (_, n): Clause[] => [
    [{ field: fieldKeys[3] ?? "", options: [`v${n % 8}`] }],
    [{ field: fieldKeys[5] ?? "", options: [`v${n}`, `v${n + 1}`] }],
  ]);
  const times = pages.map((within) => {
    const engine = new LocalEngine(index);
    const start = performance.now();
    engine.ask(countsOf(facets, undefined, within));
    return performance.now() - start;
  });
  return timing("a page's products and first answer, 100,000 × 3, ten facets", times, 15);
}

/** Five hundred collections against a panel of ten facets. */
async function table(): Promise<Timing> {
  const facts = new LocalFacts(new CatalogueIndex(syntheticCatalogue(syntheticProducts(20_000, 1))));
  const [few = "", many = ""] = [fieldKeys[6], fieldKeys[9]];
  const collections = Array.from({ length: 500 }, (_, n) => ({
    id: `c${n}`,
    slug: `c-${n}`,
    name: `Collection ${n}`,
    names: undefined,
    html: "",
    order: "",
    of: {
      by: "conditions" as const,
      join: "all" as const,
      conditions: [
        { field: few, options: [`v${n % 30}`] },
        { field: many, options: [`v${n % 100}`, `v${(n * 7) % 100}`, `v${(n * 13) % 100}`] },
      ],
    },
  }));
  const pages = { ...pagesKind.fresh(""), collections };
  const rows = fieldKeys.map((key, f) => newFacet(`f${f}`, key, "check-boxes", "any"));
  const panels = new Map([["ten", { ...emptyPanel("Ten"), rows }]]);
  const start = performance.now();
  for (const { slug } of collections) await pageFigures(facts, collectionAddress(slug), pages, panels);
  return timing("the table of 500 pages, ten facets, 20,000 products", [performance.now() - start], 3000);
}

/** From choosing another page until both frames show its name. */
const stage = (): Promise<Timing> =>
  withServer(4396, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await page.addInitScript("window.__name = (it) => it");
      await page.goto(`${origin}/shops/larkmoss-nursery/bench`);
      await page.frameLocator('iframe[title^="Phone"]').locator("html[data-ready]").waitFor({ state: "attached" });
      await page.waitForTimeout(1500);
      const times: number[] = [];
      for (let n = 0; n < 10; n++) {
        const [words, title] = n % 2 === 0 ? ["on sale", "On sale now"] : ["gifts", "Gifts"];
        await page.getByRole("button", { name: /^Page on the stage/ }).click();
        await page.getByPlaceholder("Find a page").fill(words);
        await page.waitForTimeout(200);
        times.push(
          await page.evaluate(async (wanted) => {
            const frames = [...document.querySelectorAll("iframe")].filter(({ title: name }) =>
              /^(Wide page|Phone)/.test(name),
            );
            const shows = () =>
              frames.every(({ contentDocument }) => contentDocument?.querySelector("h1")?.textContent === wanted);
            const input = document.querySelector<HTMLInputElement>('input[placeholder="Find a page"]');
            const start = performance.now();
            input?.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
            while (!shows()) await new Promise((done) => setTimeout(done, 1));
            return performance.now() - start;
          }, title),
        );
        await page.waitForTimeout(300);
      }
      return timing("another page on the stage, in both frames", times, 150);
    } finally {
      await browser.close();
    }
  });
