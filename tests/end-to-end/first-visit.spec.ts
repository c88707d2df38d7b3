import { expectAccessible } from "./axe.ts";
import { newShop, openBench } from "./bench.ts";
import { expect, test } from "./test.ts";

test.use({ firstVisit: true });

test("a first visit shows one hint at a time, which goes for good when it is used or closed", async ({ page }) => {
  const shop = await newShop(page.request, "First visit");
  const bench = await openBench(page, true, shop);
  const hints = page.getByRole("note").filter({ has: page.getByRole("button", { name: "Close this hint" }) });
  await expect(hints).toHaveText("Select a cell to choose how a filter is shown at that width.");
  await expectAccessible(page);
  await bench.addFacet("Light");
  await page.getByRole("button", { name: "Light on wide", exact: false }).first().click();
  await page.keyboard.press("Escape");
  await expect(hints).toContainText("Choose on the live page as a shopper would");
  await bench.wide.getByRole("checkbox").first().check();
  await expect(hints).toContainText("publish under Editions");
  await hints.getByRole("button", { name: "Close this hint" }).click();
  await expect(hints).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeVisible();
  await expect(hints).toHaveCount(0);
});

test("help opens by its button and key, for the view that is open", async ({ page }) => {
  const shop = await newShop(page.request, "Help wanted");
  await page.goto(`/shops/${shop}/pages`);
  await page.getByRole("button", { name: "Help" }).click();
  const help = page.getByRole("dialog", { name: "Help" });
  await expect(help).toContainText("standing condition");
  await expectAccessible(page);
  await help.getByRole("button", { name: "Close" }).click();
  await expect(help).toHaveCount(0);
  await page.goto(`/shops/${shop}/editions`);
  await expect(page.getByRole("heading", { name: "Editions" }).first()).toBeVisible();
  await page.keyboard.press("?");
  await expect(help).toContainText("Read what changed, then publish.");
});
