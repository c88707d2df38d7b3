import { readFileSync } from "node:fs";
import { expectAccessible } from "./axe.ts";
import { newShop } from "./bench.ts";
import { expect, test } from "./test.ts";

test("the overview says what to do next and leads there; what is done is folded away", async ({ page }) => {
  const shop = await newShop(
    page.request,
    "Looked over",
    readFileSync("demo/nursery.csv", "utf8").replace("Half shade", "Half shàde"),
  );
  await page.goto("/");
  await page.getByRole("link", { name: /^Looked over First/ }).click();
  await expect(page).toHaveURL(new RegExp(`/shops/${shop}$`));
  const todo = page.getByRole("list", { name: "To do" });
  await expect(todo).toContainText("240 products, ");
  await expect(todo.getByRole("link", { name: /^Merge conflicting spellings in \d fields?$/ })).toHaveAttribute(
    "href",
    /\/catalogue\?field=./,
  );
  await expect(todo.getByRole("link", { name: "Add colours for 2 values" })).toBeVisible();
  await expectAccessible(page);
  await todo.getByRole("link", { name: "Publish: shoppers see nothing until then" }).click();
  await page.getByRole("button", { name: "Publish edition 1" }).click();
  await expect(page.getByText("Up to date: shoppers see edition 1.")).toBeVisible();
  await page.getByRole("link", { name: "Overview" }).click();
  await page.getByText(/^Done: .*Editions/).click();
  await expect(page.getByRole("list", { name: "Done" })).toContainText("Shoppers see edition 1");
});
