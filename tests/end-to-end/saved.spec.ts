import { newShop } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

const status = (page: Page) => page.locator("header").getByRole("status");

test("what is typed is saved at each pause, without leaving the field; a reload a second later loses nothing", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Typed");
  await page.goto(`/shops/${shop}/panels`);
  const name = page.getByRole("textbox", { name: "Panel name" });
  await name.fill("");
  await name.pressSequentially("Find a climber", { delay: 30 });
  await expect(status(page)).toHaveText("Saving…");
  await expect(status(page)).toHaveText("Saved");
  // The field is still being typed in, and all of it is one step.
  await expect(name).toBeFocused();
  await name.pressSequentially(" soon", { delay: 30 });
  await page.waitForTimeout(1000);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Panel name" })).toHaveValue("Find a climber soon");
  await page.getByRole("button", { name: /^Undo: Rename the panel/ }).click();
  await expect(page.getByRole("textbox", { name: "Panel name" })).toHaveValue("First panel");

  await page.goto(`/shops/${shop}/pages/articles`);
  await page
    .getByRole("button", { name: /article/i })
    .first()
    .click();
  const text = page.getByRole("textbox", { name: "Text of the article" });
  await text.click();
  await page.keyboard.type("Climbers want a wall.", { delay: 20 });
  await expect(status(page)).toHaveText("Saved");
  await expect(text).toBeFocused();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Text of the article" })).toContainText("Climbers want a wall.");
});

test("Escape puts back what was there when typing began, though a pause has saved some of it", async ({ page }) => {
  const shop = await newShop(page.request, "Escaped");
  await page.goto(`/shops/${shop}/panels`);
  const name = page.getByRole("textbox", { name: "Panel name" });
  await name.fill("Something else");
  await expect(status(page)).toHaveText("Saved");
  await name.press("Escape");
  await expect(name).toHaveValue("First panel");
  await expect(status(page)).toHaveText("Saved");
  await expect(page.getByRole("button", { name: "Undo", exact: true })).toBeDisabled();
});

test("a change that is refused is never said to be saved: its reason is told, and undo takes it back", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Refused");
  await page.goto(`/shops/${shop}/panels`);
  const reason = "This is not a valid panel: there are more rows than a panel can have.";
  await page.route("**/documents/panel/**", (route) =>
    route.request().method() === "PUT"
      ? route.fulfill({ status: 422, contentType: "application/json", body: JSON.stringify({ error: reason }) })
      : route.continue(),
  );
  const name = page.getByRole("textbox", { name: "Panel name" });
  await name.fill("Refused");
  await expect(status(page)).toContainText("Not saved");
  await expect(status(page)).toContainText(reason);
  // It stays, to be mended or taken back.
  await expect(name).toHaveValue("Refused");
  await name.blur();
  await page.unroute("**/documents/panel/**");
  await page.keyboard.press("Control+z");
  await expect(name).toHaveValue("First panel");
  await expect(status(page)).toHaveText("Saved");
});
