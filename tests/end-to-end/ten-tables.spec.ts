import { readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { answers } from "../unit/first-panels.answers.ts";
import { awake } from "./shop-page.ts";
import { expect, test } from "./test.ts";

/** Ten open tables of the registry, as they come. Source: see where their answers are written. */
const files = [...new Set(Object.values(answers).flatMap((list) => list.map(({ file }) => file)))].slice(0, 10);

test("ten open tables each become a panel that works, by a file, a click and nothing else", async ({ page }) => {
  expect(files).toHaveLength(10);
  for (const file of files) {
    await page.goto("/");
    await page.getByRole("link", { name: "New shop from a file" }).click();
    await page.getByLabel("Catalogue file").setInputFiles({
      name: basename(file),
      mimeType: file.endsWith(".csv") ? "text/csv" : "application/json",
      buffer: readFileSync(join("node_modules", file)),
    });
    await page.getByRole("button", { name: "Create the shop" }).click();
    await expect(page, file).toHaveURL(/\/panels\//);
    const wide = page.frameLocator('iframe[title^="Wide page"]');
    await awake(wide);
    await expect(wide.locator(".zt-facet").nth(2), file).toBeVisible();
    // An option that is chosen finds what its count has said.
    const option = wide.locator("label.zt-box:has(input[type=checkbox]):has(.zt-count)").first();
    if ((await option.count()) === 0) continue;
    const told = /[\d,]+/.exec((await option.locator(".zt-count").textContent()) ?? "")?.[0];
    await option.locator("input").check();
    await expect(wide.getByRole("status").first(), file).toContainText(new RegExp(`^${told} `));
  }
});
