import { expectAccessible } from "./axe.ts";
import { demoShop } from "./bench.ts";
import { expect, test } from "./test.ts";

const views = [
  "",
  "/catalogue",
  "/catalogue/products",
  "/catalogue/mends",
  "/panels",
  "/swatches",
  "/look",
  "/pages",
  "/pages/collections",
  "/rehearsal",
  "/rehearsal/visits",
  "/editions",
].map((view) => `/shops/${demoShop}${view}`);

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
    await expectAccessible(page);
  }
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
