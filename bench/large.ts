/**
 * The cost of a large catalogue to the designer: reading, storing and opening it, and whether the page stays fluent.
 */
import { chromium } from "@playwright/test";
import Papa from "papaparse";
import { launch, withServer } from "../tests/browser.ts";
import { longestTask, watchTasks } from "./longest-task.ts";
import { fieldKeys, syntheticProducts } from "./synthetic.ts";

/** Seconds for each part, and the longest that the page was held up meanwhile, in ms. */
export interface LargeImport {
  variants: number;
  file_mb: number;
  read_s: number;
  store_s: number;
  open_s: number;
  filter_ms: number;
  longest_task_ms: number;
}

/** The synthetic catalogue of the engine's benchmark as CSV, with titles. */
export function syntheticCsv(products: number, variants: number): string {
  const rows = syntheticProducts(products, variants).flatMap(({ id, rows }) =>
    rows.map((cells, v) => [id, `${id}-${v}`, `Product ${id}`, ...cells]),
  );
  return Papa.unparse([["product_id", "sku", "title", ...fieldKeys, "price"], ...rows]);
}

export const benchLarge = (products: number, variants: number): Promise<LargeImport> =>
  withServer(4395, async (origin) => {
    const text = syntheticCsv(products, variants);
    const browser = await chromium.launch(launch);
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await watchTasks(page);
      const longest: number[] = [];
      const timed = async (task: () => Promise<unknown>) => {
        const start = performance.now();
        await task();
        longest.push(await longestTask(page));
        return Math.round((performance.now() - start) / 10) / 100;
      };
      await page.goto(`${origin}/new`);
      // Made in the page, since handing a large file over would be timed as well.
      const file = await page.evaluateHandle((csv) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([csv], "large.csv", { type: "text/csv" }));
        return transfer;
      }, text);
      const read_s = await timed(async () => {
        await page.locator("label").first().dispatchEvent("drop", { dataTransfer: file });
        await page.getByText(`${products.toLocaleString("en")} products`).waitFor({ timeout: 120_000 });
      });
      const store_s = await timed(async () => {
        await page.getByRole("button", { name: "Create the shop" }).click();
        await page.waitForURL(/\/bench/, { timeout: 120_000 });
      });
      const open_s = await timed(async () => {
        await page.getByLabel("Evidence").getByText("found").waitFor({ timeout: 120_000 });
      });
      await page.goto(`${origin}/shops/large/catalogue/products`);
      const count = page
        .getByRole("status")
        .filter({ hasText: `of ${(products * variants).toLocaleString("en")} variants` });
      await count.waitFor({ timeout: 120_000 });
      await page.getByRole("button", { name: fieldKeys[3], exact: true }).first().click();
      const box = page.getByRole("checkbox", { name: /^v0/ }).first();
      await box.waitFor();
      const filter_s = await timed(async () => {
        await box.check();
        await page.waitForFunction(
          (all) => document.querySelector("[role=status].text-quiet")?.textContent?.startsWith(all) === false,
          `${(products * variants).toLocaleString("en")} of`,
        );
      });
      return {
        variants: products * variants,
        file_mb: Math.round(text.length / 1e5) / 10,
        read_s,
        store_s,
        open_s,
        filter_ms: Math.round(filter_s * 1000),
        longest_task_ms: Math.round(Math.max(...longest)),
      };
    } finally {
      await browser.close();
    }
  });
