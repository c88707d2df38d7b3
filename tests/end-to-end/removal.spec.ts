import { expectAccessible } from "./axe.ts";
import { newShop, origin, saveShop } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

const slugsOf = async (page: Page, shop: string, kind: string): Promise<string[]> =>
  (await (await page.request.get(`/api/shops/${shop}/documents/${kind}`)).json()).map(
    ({ slug }: { slug: string }) => slug,
  );

test("a shop gets another name, currency and languages, is removed, and comes back", async ({ page }) => {
  const shop = await newShop(page.request, "Going and coming");
  await page.goto("/");
  await page.getByRole("button", { name: "More for Going and coming" }).click();
  await page.getByRole("button", { name: "Name, currency and languages" }).click();
  const form = page.getByRole("form", { name: "Name, currency and languages of Going and coming" });
  await form.getByRole("textbox", { name: "Name" }).fill("Come and gone");
  await form.getByRole("combobox", { name: "Currency" }).selectOption("JPY");
  const languages = form.getByRole("textbox", { name: /^Languages/ });
  await languages.fill("de german");
  await expect(form.getByRole("alert")).toContainText("“german” is not a language tag");
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
    .getByRole("button", { name: "Restore" })
    .click();
  await expect(page.getByRole("link", { name: /^Come and gone First/ })).toBeVisible();
});

test("a panel is moved, removed, and brought back by the offer, among what was removed, and at its address", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Panels going");
  await page.goto(`/shops/${shop}/panels`);
  const tabs = page.getByRole("navigation", { name: "Panels" });
  await tabs.getByRole("button", { name: "More for panel First panel" }).click();
  await expect(page.getByRole("button", { name: "Remove: it is the only panel" })).toBeDisabled();
  await page.getByRole("button", { name: "Duplicate", exact: true }).click();
  await expect(page).toHaveURL(/first-panel-copy/);
  await tabs.getByRole("button", { name: "More for panel First panel copy" }).click();
  const moves = page.getByRole("button", { name: "Move to the left" });
  await expect(moves).toContainText(/First panel copy then becomes the default panel, on \d+ of \d+ pages/);
  await moves.click();
  await expect(tabs.getByRole("link", { name: "First panel", exact: true })).toBeVisible();
  await expect.poll(() => slugsOf(page, shop, "panel")).toEqual(["first-panel-copy", "first-panel"]);
  await tabs.getByRole("button", { name: "More for panel First panel copy" }).click();
  const remove = page.getByRole("button", { name: /^Remove/ });
  await expect(remove).toContainText("First panel then becomes the default panel");
  await remove.click();
  await expect(page).toHaveURL(/panels\/first-panel$/);
  await page
    .getByRole("region", { name: /Notifications/ })
    .getByRole("button", { name: "Restore" })
    .click();
  // It is open again, as it was.
  const tab = tabs.getByRole("link", { name: "First panel copy" });
  const more = tabs.getByRole("button", { name: "More for panel First panel copy" });
  await expect(page).toHaveURL(/panels\/first-panel-copy$/);
  await more.click();
  await remove.click();
  await expect(page).toHaveURL(/panels\/first-panel$/);
  // Undo takes back the removal, not a step of the panel that opened instead.
  const undo = page.getByRole("button", { name: "Undo: First panel copy removed" });
  await expect(undo).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page).toHaveURL(/panels\/first-panel-copy$/);
  await expect(undo).toHaveCount(0);
  await more.click();
  await remove.click();
  await expect(page).toHaveURL(/panels\/first-panel$/);

  // The offer is gone with a reload; what was removed is not.
  await page.reload();
  await tabs.getByRole("button", { name: "New panel" }).click();
  const removed = page.getByRole("region", { name: "Removed panels" });
  await expectAccessible(page);
  await removed.getByRole("button", { name: "Restore First panel copy" }).click();
  await expect(removed).toHaveCount(0);
  await page.keyboard.press("Escape");
  await tab.click();
  await tabs.getByRole("button", { name: "More for panel First panel copy" }).click();
  await remove.click();
  await expect(page).toHaveURL(/panels\/first-panel$/);

  // Going back leads to where it was, and offers to restore it there.
  await page.goBack();
  const gone = page.getByRole("heading", { name: "First panel copy was removed" });
  await expect(gone).toBeVisible();
  await page.reload();
  await expect(gone).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Restore" }).click();
  await expect(tabs.getByRole("textbox", { name: "Panel name" })).toHaveValue("First panel copy");
  await page.goto(`/shops/${shop}/panels/never-made`);
  await expect(page.getByRole("main")).toContainText("has no panel at “never-made”");
  await page.getByRole("link", { name: "The shop’s panels" }).click();
  await expect(tabs).toBeVisible();
});

test("a look that is not the shop's is removed and brought back; a shop whose look is gone opens the first", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Looks going");
  const make = (name: string) =>
    page.request.post(`/api/shops/${shop}/documents/look`, {
      data: { document: { format: 1, name, values: {}, dark: {}, styles: [], css: "" } },
      headers: origin,
    });
  for (const name of ["House", "Winter"]) expect((await make(name)).status()).toBe(201);
  await saveShop(page.request, shop, { look: "house" });
  await page.goto(`/shops/${shop}/look`);
  const tabs = page.getByRole("navigation", { name: "Looks" });
  await tabs.getByRole("button", { name: "More for look House" }).click();
  await expect(page.getByRole("button", { name: "Remove: it is the shop’s look" })).toBeDisabled();
  await page.keyboard.press("Escape");
  await tabs.getByRole("link", { name: "Winter" }).click();
  await tabs.getByRole("button", { name: "More for look Winter" }).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await expect(page).toHaveURL(/look\/house$/);
  expect(await slugsOf(page, shop, "look")).toEqual(["house"]);
  await tabs.getByRole("button", { name: "New look" }).click();
  await page.getByRole("button", { name: "Restore Winter" }).click();
  await expect(tabs.getByRole("link", { name: "Winter" })).toBeVisible();

  await saveShop(page.request, shop, { look: "gone" });
  await page.goto(`/shops/${shop}/look`);
  await expect(page).toHaveURL(/look\/house$/);
});
