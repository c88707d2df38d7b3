import { readFileSync } from "node:fs";
import { unzipSync } from "fflate";
import { demoPanel } from "../../demo/panel.ts";
import { edited } from "../../src/core/document/edit.ts";
import { moveRow } from "../../src/core/panel/edit.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { heightsName, heightsOf, readHeights } from "../../src/core/rehearsal/heights-file.ts";
import { readFolder } from "../../src/core/shop/archive/read-folder.ts";
import { expectAccessible } from "./axe.ts";
import { newShop, origin } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";
import { textOf } from "./text-of.ts";

const band = (page: Page, name: string) => page.getByRole("region", { name, exact: true });
const open = async (page: Page, shop: string) => {
  await page.goto(`/shops/${shop}/rehearsal`);
  for (const name of ["Wide page", "Phone"])
    await expect(band(page, name).getByRole("status")).toHaveText("2,000 shoppers, 240 products", { timeout: 20_000 });
};
const tab = (page: Page, name: string) => page.getByRole("tab", { name, exact: true }).click();

test("trial shoppers go through the page on both bands; their figures, ways, facets and dead ends are told", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Rehearsed");
  await open(page, shop);
  for (const name of ["Wide page", "Phone"]) await expect(band(page, name)).toContainText(/find their product\d+%/);
  await expect(page.getByRole("img", { name: /shoppers, \d+ products left/ })).toBeVisible();
  await expectAccessible(page, "main");
  await band(page, "Phone").getByRole("button", { name: "px scrolled" }).click();
  for (const name of ["Wide page", "Phone"])
    await expect(band(page, name).getByRole("figure")).toContainText("Px scrolled of those who find it");

  await tab(page, "Facets");
  const facets = page.getByRole("tabpanel").getByRole("row");
  await expect(facets.first()).toBeVisible();
  // Each facet's worth is told, one after the other.
  await expect(page.getByRole("tabpanel").getByText("…", { exact: true })).toHaveCount(0, { timeout: 20_000 });
  await expect(page.getByRole("tabpanel")).toContainText(
    /points fewer find their product|No difference shown by these/,
  );

  await tab(page, "Dead ends");
  await expect(page.getByRole("tabpanel")).toContainText(
    /The known value is not among its options|The option had no products|Nobody has/,
  );

  // Assumptions can be changed, and everything is sent anew.
  const before = await textOf(band(page, "Wide page").locator("dd").first());
  await page.getByText("Assumptions about shoppers").click();
  await page.getByLabel("How many products a shopper looks at first").fill("60");
  await page.getByLabel("How many products a shopper looks at first").blur();
  await expect(page.getByText(", 1 changed")).toBeVisible();
  await expect(band(page, "Wide page").getByRole("status")).toHaveText("2,000 shoppers, 240 products", {
    timeout: 20_000,
  });
  await expect(band(page, "Wide page").locator("dd").first()).not.toHaveText(before);
});

test("measured heights are handed over, and are of the panels that the shop's folder has", async ({ page }) => {
  const shop = await newShop(page.request, "Measured");
  await open(page, shop);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Download the measured heights" }).click(),
  ]);
  const zip = await page.request.get(`/api/shops/${shop}/folder.zip`);
  const folder = new Map(Object.entries(unzipSync(new Uint8Array(await zip.body()))));
  folder.set(heightsName, new Uint8Array(readFileSync(await download.path())));
  const heights = readHeights(folder);
  const panels = new Map(readFolder(folder).panels.map(({ slug, document }) => [slug, document]));
  for (const on of ["wide", "slim"] as const) {
    const measures = heights && [...heightsOf(heights, "/", on, panels).values()];
    expect(measures?.length).toBeGreaterThan(0);
    for (const { panel, rows } of measures ?? []) expect(Math.max(panel, ...Object.values(rows))).toBeGreaterThan(100);
  }
});

test("one shopper's way is gone again on the real page, move by move", async ({ page }) => {
  const shop = await newShop(page.request, "Replayed");
  await open(page, shop);
  await tab(page, "Single shoppers");
  await page
    .getByRole("list", { name: "Shoppers" })
    .getByRole("button", { name: /found it, [12] choices?/ })
    .first()
    .click();
  const moves = page.getByRole("list", { name: "Moves" }).getByRole("button");
  const told = page.frameLocator('iframe[title="The page after this move"]').getByRole("status");
  await expect(told).toHaveText("240 products");
  await page.getByRole("button", { name: "Next move" }).click();
  const left = (await moves.nth(1).textContent())?.match(/([\d,]+) products?/)?.[1] ?? "";
  // The page itself finds what the trial shopper was told to find.
  await expect(told).toHaveText(new RegExp(`^${left} products? of 240$`));
});

test("the draft is compared with an edition, pair by pair", async ({ page }) => {
  const shop = await newShop(page.request, "Compared");
  const published = await page.request.post(`/api/shops/${shop}/editions`, {
    data: { note: "First" },
    headers: origin,
  });
  expect(published.status()).toBe(201);
  await open(page, shop);
  await tab(page, "Compare");
  await expect(page.getByRole("tabpanel").getByRole("status")).toHaveText("No difference shown by 2,000 shoppers.", {
    timeout: 20_000,
  });

  // The facet that everybody uses is taken out of the draft.
  await tab(page, "Facets");
  const best = await page.getByRole("tabpanel").getByRole("rowheader").first().textContent();
  await page.goto(`/shops/${shop}/panels/first-panel`);
  await page.getByRole("button", { name: `More for ${best}`, exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Remove", exact: true }).click();
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await open(page, shop);
  await tab(page, "Compare");
  await expect(page.getByRole("tabpanel").getByRole("status")).toContainText("They differ", { timeout: 20_000 });
  await expect(page.getByRole("row", { name: /^Find their product/ })).toContainText(/points, worse/);
});

test("a change that does better with unseen shoppers is proposed, taken as one step, and undone", async ({ page }) => {
  test.setTimeout(90_000);
  const shop = await newShop(page.request, "Improved");
  // The most helpful option is last.
  const path = `/api/shops/${shop}/documents/panel/first-panel`;
  const stored = async () =>
    (await (await page.request.get(path)).json()) as { version: number; document: PanelDocument };
  const document = edited(demoPanel, moveRow("f-category", 99, ""), moveRow("f-flower-colour", 99, ""));
  const { version } = await stored();
  const put = await page.request.put(path, { data: { version, document }, headers: origin });
  expect(put.status()).toBe(200);
  const rows = async () => (await stored()).document.rows.map(({ id }) => id);
  const before = await rows();

  await open(page, shop);
  await tab(page, "Improvements");
  await page.getByRole("button", { name: "Search for a better panel" }).click();
  const take = page.getByRole("button", { name: /^Apply/ }).first();
  await expect(take).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("tabpanel")).toContainText(/s faster per shopper on average, 95% interval/);
  await take.click();
  await expect(page.getByRole("tabpanel").getByRole("status")).toContainText("Applied:");
  await expect.poll(rows).not.toEqual(before);
  await page.getByRole("tabpanel").getByRole("button", { name: /^Undo/ }).click();
  await expect.poll(rows).toEqual(before);
});

test("real visits weigh what is looked for; what could not be used is told", async ({ page }) => {
  const shop = await newShop(page.request, "Visited");
  await open(page, shop);
  await page.getByLabel("Each looks for one product").selectOption("as real visitors did");
  const file = (text: string) => ({ name: "visits.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  const input = page.getByLabel("Visits or choices as CSV: one row each, or with a count");
  await input.setInputFiles(file("who,what\nann,nothing\n"));
  await expect(page.getByRole("alert")).toContainText(
    "No column of this file names products or facets of the catalogue.",
  );
  await input.setInputFiles(file("facet,count\nLight,30\nPrice,15\nMoon,1\n"));
  await expect(page.getByText("2 choices in 2 fields say what shoppers know. 1 rows could not be used")).toBeVisible();
  await expect(page.getByText(", 2 changed")).toBeVisible();
  await input.setInputFiles(file("when,product,views\n1,LM001,30\n1,LM002,10\n1,unknown,4\n"));
  await expect(page.getByText("2 rows name 2 products. 1 rows could not be used, such as “unknown”.")).toBeVisible();
  await expect(band(page, "Wide page").getByRole("status")).toHaveText("2,000 shoppers, 240 products", {
    timeout: 20_000,
  });
  // Both stand among the first cards.
  await expect(band(page, "Wide page").locator("dd").first()).toHaveText("100%");
});
