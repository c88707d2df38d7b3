import { expect, test } from "@playwright/test";
import { openBench } from "./bench.ts";

test("a facet is built on the bench, works in both frames, and is there after a reload", async ({ page }) => {
  const bench = await openBench(page);
  await bench.addFacet("Hardiness");
  for (const frame of [bench.wide, bench.phone]) await expect(frame.locator('[data-row="f-hardiness"]')).toHaveCount(1);

  // Chosen in the wide frame, it holds in the phone too.
  const hardy = bench.wide.getByRole("checkbox", { name: /H4 hardy/ });
  await hardy.check();
  const total = (await bench.wide.getByRole("status").textContent()) ?? "";
  expect(total).toMatch(/^\d+ products of 240$/);
  await expect(bench.phone.getByRole("status")).toHaveText(total);
  await expect(page.getByLabel("Evidence")).toContainText(total.replace(/ products of (\d+)/, " of $1 found"));

  await bench.saved();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Label of Hardiness" })).toBeVisible();
  await expect(bench.wide.locator('[data-row="f-hardiness"]')).toHaveCount(1);
});
