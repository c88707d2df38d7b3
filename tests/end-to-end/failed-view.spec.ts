import { demoShop } from "./bench.ts";
import { expect, test } from "./test.ts";

test("a view whose script is gone from the server says so, and comes with a reload", async ({ page }) => {
  await page.route("**/assets/pages-view-*.js", (route) => route.abort());
  await page.goto(`/shops/${demoShop}/pages`);
  await expect(page.getByRole("heading", { name: "This view stopped working" })).toBeVisible();
  await expect(page.getByText(/^Details: .*import/)).toBeVisible();
  await page.unroute("**/assets/pages-view-*.js");
  await page.getByRole("button", { name: "Reload" }).click();
  await expect(page.getByRole("heading", { name: "Pages", level: 1 })).toBeVisible();
});
