import { expectAccessible } from "./axe.ts";
import { newShop } from "./bench.ts";
import { expect, test } from "./test.ts";

test("the overview says what is there and what is open, and leads to where it is done", async ({ page }) => {
  const shop = await newShop(page.request, "Looked over");
  await page.goto("/");
  await page.getByRole("link", { name: /^Looked over First/ }).click();
  await expect(page).toHaveURL(new RegExp(`/shops/${shop}$`));
  const step = (name: string) => page.getByRole("listitem").filter({ has: page.getByText(name, { exact: true }) });
  await expect(step("Catalogue")).toContainText("240 products, 799 variants");
  await expect(step("Catalogue")).toContainText(/\d fields? with spellings that clash/);
  await expect(step("Swatches")).toContainText("2 values without one");
  await expect(step("Editions")).toContainText("Not yet published");
  await expectAccessible(page);
  await step("Editions").getByRole("link").click();
  await page.getByRole("button", { name: "Publish edition 1" }).click();
  await expect(page.getByText("Shoppers get what is here: edition 1.")).toBeVisible();
  await page.getByRole("link", { name: "Overview" }).click();
  await expect(step("Editions")).toContainText("Shoppers get edition 1");
  await expect(step("Editions").getByRole("img", { name: "Done" })).toBeVisible();
});
