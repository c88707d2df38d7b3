import { expect, test } from "@playwright/test";
import { expectAccessible } from "./axe.ts";
import { newShop } from "./bench.ts";

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

test("a shop gets another name, currency and languages, is removed, and comes back; so does a panel", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Going and coming");
  await page.goto("/");
  await page.getByRole("button", { name: "More for Going and coming" }).click();
  await page.getByRole("button", { name: "Name, currency and languages" }).click();
  const form = page.getByRole("form", { name: "Name, currency and languages of Going and coming" });
  await form.getByRole("textbox", { name: "Name" }).fill("Come and gone");
  await form.getByRole("combobox", { name: "Currency" }).selectOption("JPY");
  const languages = form.getByRole("textbox", { name: /^Languages/ });
  await languages.fill("de german");
  await expect(form.getByRole("alert")).toContainText("“german” is no language tag");
  await expect(form.getByRole("button", { name: "Save" })).toBeDisabled();
  await languages.fill("de ja");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("link", { name: /^Come and gone First/ })).toBeVisible();
  const settings = async () => (await (await page.request.get(`/api/shops/${shop}/documents/shop`)).json()).document;
  await expect.poll(async () => (await settings()).languages).toEqual(["de", "ja"]);
  await page.getByRole("button", { name: "More for Come and gone" }).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  const removed = page.getByRole("region", { name: "Removed shops" });
  await expect(removed).toContainText("Come and gone");
  await expect(page.getByRole("link", { name: /^Come and gone First/ })).toHaveCount(0);
  await expectAccessible(page);
  await removed
    .getByRole("listitem")
    .filter({ hasText: "Come and gone" })
    .getByRole("button", { name: "Bring back" })
    .click();
  await expect(page.getByRole("link", { name: /^Come and gone First/ })).toBeVisible();

  await page.goto(`/shops/${shop}/bench`);
  const tabs = page.getByRole("navigation", { name: "Panels" });
  await tabs.getByRole("button", { name: "More for panel First panel" }).click();
  await expect(page.getByRole("button", { name: "Remove: it is the only panel" })).toBeDisabled();
  await page.getByRole("button", { name: "Duplicate", exact: true }).click();
  await expect(page).toHaveURL(/first-panel-copy/);
  await tabs.getByRole("button", { name: "More for panel First panel copy" }).click();
  await page.getByRole("button", { name: "Move to the left" }).click();
  await expect(tabs.getByRole("link", { name: "First panel", exact: true })).toBeVisible();
  await expect
    .poll(async () =>
      (await (await page.request.get(`/api/shops/${shop}/documents/panel`)).json()).map(
        ({ slug }: { slug: string }) => slug,
      ),
    )
    .toEqual(["first-panel-copy", "first-panel"]);
  await tabs.getByRole("button", { name: "More for panel First panel copy" }).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await expect(page).toHaveURL(/bench\/first-panel$/);
  await page.getByRole("button", { name: "Bring back" }).click();
  await expect(tabs.getByRole("link", { name: "First panel copy" })).toBeVisible();
});
