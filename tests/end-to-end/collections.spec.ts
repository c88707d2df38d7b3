import { demoPages } from "../../demo/pages.ts";
import { newShop, openBench, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

/** Counts what a designer does: clicks, keys and choices. */
function counted(page: Page) {
  let acts = 0;
  return {
    get acts() {
      return acts;
    },
    async click(name: string | RegExp) {
      acts++;
      await page
        .getByRole("button", { name, exact: typeof name === "string" })
        .first()
        .click();
    },
  };
}

test("the shop's collections are a facet in three acts, and links; what each says is what its page shows, wide and on a phone", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Gathered");
  const saved = await page.request.put(`/api/shops/${shop}/documents/pages`, {
    data: { version: 0, document: { ...demoPages, layouts: {}, exceptions: {} } },
    headers: origin,
  });
  expect(saved.status()).toBe(200);
  const bench = await openBench(page, true, shop);
  const by = counted(page);
  await by.click("Facet or piece");
  await by.click(/^Collections/);
  await by.click("Links: Collections");
  await by.click("Done");
  expect(by.acts).toBeLessThanOrEqual(6);
  await bench.saved();
  // A collection that is made later is there by itself.
  await page.goto(`/shops/${shop}/pages/collections`);
  await page.getByRole("button", { name: "New collection" }).click();
  await page.getByRole("textbox", { name: "Name of the collection" }).fill("Everything dear");
  await page.getByRole("textbox", { name: "Name of the collection" }).press("Enter");
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    const open = async (address: string) => {
      await page.goto(`/draft/${shop}${address}`);
      await awake(page);
    };
    await open(`/?panel=${bench.slug}`);
    if (width === 390) await page.locator(".zt-drawer-button").first().click();
    const panel = page.locator(`form[data-panel="${bench.slug}"]`);
    const all = panel.getByRole("button", { name: /^Show all/ });
    if (await all.isVisible()) await all.click();
    const told: [string, number][] = [];
    for (const option of await panel.locator('[data-row="f-collections"] label').all())
      told.push([
        (await option.locator(".zt-name").innerText()).trim(),
        Number((await option.locator(".zt-count").innerText()).match(/\d+/)?.[0]),
      ]);
    expect(told.map(([name]) => name)).toContain("Everything dear");
    const links = panel.locator('[data-piece="links"] li');
    expect(await links.count()).toBe(told.length);
    for (const [name, products] of told.slice(0, 4)) {
      const slug = demoPages.collections.find((one) => one.name === name)?.slug;
      if (!slug) continue;
      await open(`/collections/${slug}`);
      await expect(page.locator(".zt-total").first()).toHaveText(`${products} products`);
    }
    await open(`/?panel=${bench.slug}`);
    if (width === 390) await page.locator(".zt-drawer-button").first().click();
    const link = panel.locator('[data-piece="links"] li').first();
    const count = Number((await link.locator(".zt-count").innerText()).match(/\d+/)?.[0]);
    await link.getByRole("link").click();
    await expect(page.locator(".zt-total").first()).toHaveText(`${count} products of 240`);
  }
});

test("the top level of the categories is a row in two acts; all below an entry is found by it, also what comes later", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Levels");
  const bench = await openBench(page, true, shop);
  const by = counted(page);
  await by.click("Facet or piece");
  await by.click(/^Category: top level/);
  expect(by.acts).toBe(2);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  const tiles = bench.wide.locator(".zt-tile .zt-name");
  await expect(tiles).toHaveText(["Plants", "Seeds", "Pots", "Tools"]);
  const plants = bench.wide.locator(".zt-tile").first();
  await plants.click();
  await expect(bench.wide.locator(".zt-total")).toHaveText("121 products of 240");
  await plants.click();
  await page.getByRole("button", { name: "Settings of Category" }).click();
  await page.getByRole("tab", { name: "Options" }).click();
  await page.getByRole("combobox", { name: "Levels of Category" }).selectOption({ label: "directly below Plants" });
  await expect(tiles.first()).not.toHaveText("Plants");
  await expect(tiles.filter({ hasText: "Climbers" })).toHaveCount(1);
  await bench.saved();
});
