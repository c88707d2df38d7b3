import { demoShop, openBench } from "./bench.ts";
import { expect, test } from "./test.ts";

test("a panel prints as one sheet with its rows on each band, its numbers and its findings", async ({ page }) => {
  await page.addInitScript(() => {
    window.print = () => document.documentElement.setAttribute("data-printed", "");
  });
  await openBench(page);
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox").fill("print pdf");
  await page.keyboard.press("Enter");
  await expect(page.locator("html[data-printed]")).toBeAttached();
  await page.emulateMedia({ media: "print" });
  const sheet = page.getByRole("region", { name: "Printed panel" });
  await expect(sheet.getByRole("heading", { name: "Climber finder" })).toBeVisible();
  await expect(sheet.getByRole("row", { name: /^Light/ })).toContainText(/Check boxes.*Tiles.*66%/);
  await expect(sheet).toContainText("Pet safe offers find only 47 of 240 products");
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeHidden();
  // One page of A4: 1123 px at 96 dpi.
  expect(await sheet.evaluate((element) => element.getBoundingClientRect().height)).toBeLessThan(1123);
  await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
  await page.emulateMedia({ media: "screen" });
  await expect(sheet).toHaveCount(0);
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeVisible();
});

test("other views print in full, without what is there to be pressed", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/catalogue`);
  await expect(page.getByRole("cell", { name: "category path" })).toBeVisible();
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("navigation", { name: "Views" })).toBeHidden();
  await expect(page.getByText("Image", { exact: true })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
});
