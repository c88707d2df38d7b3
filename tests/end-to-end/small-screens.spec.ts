import { studioViews } from "../studio-views.ts";
import { expectAccessible } from "./axe.ts";
import { demoShop } from "./bench.ts";
import { expect, test } from "./test.ts";

const views = studioViews.map((view) => `/shops/${demoShop}${view}`);

test("every view fits a phone: no sideways scrolling, one main heading, accessible", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const view of ["/", "/new", ...views]) {
    await page.goto(view);
    await expect(page.getByRole("heading", { level: 1 }), view).toHaveCount(1);
    await expect(page.getByText(/^Loading/), view).toHaveCount(0);
    // 834 px is a tablet, 640 px is 1280 px at a zoom of 200 %. Source: WCAG 2.2, 1.4.10, which asks for 320 px.
    for (const width of [834, 640, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), { message: view })
        .toBeLessThanOrEqual(0);
    }
    // The view scrolls inside; beyond its end there is nothing to scroll to.
    expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight), view).toBeLessThanOrEqual(0);
    await expectAccessible(page);
  }
});

test("the columns of a file, their naming and the shop’s name stand below each other on a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto("/new");
  // Windows-1252, and rows that share a title: with all that a file can ask.
  const buffer = Buffer.from("id;Titel;Größe\n1;Hemd;S\n2;Hemd;M\n", "latin1");
  await page.getByLabel("Catalogue file").setInputFiles({ name: "hemden.csv", mimeType: "text/csv", buffer });
  await expect(page.getByRole("button", { name: "Create the shop" })).toBeEnabled();
  const boxes = await page
    .locator("main :is(input:not([type=file]), select, button):visible")
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect().toJSON()));
  const inTable = await page.locator("main table :is(select, button):visible").count();
  expect(boxes.length - inTable).toBeGreaterThanOrEqual(7);
  expect(boxes.filter(({ width }) => width === 0 || width > 390)).toEqual([]);
  const over = boxes.filter((one, at) =>
    boxes.some(
      (other, place) =>
        place !== at &&
        one.left < other.right - 1 &&
        other.left < one.right - 1 &&
        one.top < other.bottom - 1 &&
        other.top < one.bottom - 1,
    ),
  );
  expect(over).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
});

test("the preview of a newer file with many changes ends where its last list ends", async ({ page }) => {
  const fields = Array.from({ length: 40 }, (_, at) => at);
  const file = (mark: string) => ({
    name: `${mark}.csv`,
    mimeType: "text/csv",
    buffer: Buffer.from(
      [
        `product_id,title,${fields.map((at) => `Field ${at}`).join(",")}`,
        ...Array.from({ length: 200 }, (_, row) =>
          [`P${row}`, `Thing ${row}`, ...fields.map((at) => `${mark}${at}-${(row * 7 + at) % (at + 2)}`)].join(","),
        ),
      ].join("\n"),
    ),
  });
  await page.goto("/new");
  await page.getByLabel("Catalogue file").setInputFiles(file("old"));
  await page.getByLabel("Shop name").fill("Many changes");
  await page.getByRole("button", { name: "Create the shop" }).click();
  await page.waitForURL(/\/panels/);
  await page.goto(page.url().replace(/\/panels.*/, "/catalogue/import"));
  await page.getByLabel("Catalogue file").setInputFiles(file("new"));
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByRole("heading", { name: "Changed products" })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(0);
  // Each long list scrolls by itself, so that the next heading is at most a window away.
  expect(await page.locator("main").evaluate((main) => main.scrollHeight / main.clientHeight)).toBeLessThan(5);
});

test("on a phone the views are a menu, and the table and the live page are shown one at a time", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/shops/${demoShop}/pages`);
  await page.getByRole("button", { name: "Views: Pages" }).click();
  await page.getByRole("dialog", { name: "Views" }).getByRole("link", { name: "Panels" }).click();
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeVisible();
  const live = page.getByRole("region", { name: "Live page" });
  await expect(live).toBeHidden();
  await page.getByRole("group", { name: "Shown" }).getByRole("button", { name: "Live page" }).click();
  await expect(live).toBeVisible();
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeHidden();
});
