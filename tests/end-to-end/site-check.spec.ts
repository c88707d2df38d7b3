import { readFileSync } from "node:fs";
import { demoPages } from "../../demo/pages.ts";
import { siteCheck } from "../../src/core/api/site-check.ts";
import { checkValue } from "../../src/core/document/schema.ts";
import { stickyHeight } from "../../src/core/page/bars.ts";
import { test } from "./foreign-site.ts";
import { expect } from "./test.ts";

const ids = [...new Set(readFileSync("demo/nursery.csv", "utf8").match(/^LM\d{3}/gm))];
const listOf = (all: readonly string[]) =>
  `<ul data-trellis-list="">${all.map((id) => `<li data-trellis-product="${id}">${id}</li>`).join("")}</ul>`;

test("a page that is as it should be says so, under a strict policy", async ({ page, foreign }) => {
  const panel = foreign.piece("index/climber-finder.html");
  const height = stickyHeight(demoPages.bars, "wide");
  foreign.site.put("fine.css", `.bar { position: sticky; top: 0; height: ${height}px; background: #eee; z-index: 5; }`);
  const head = `${foreign.head}<link rel="stylesheet" href="/fine.css">`;
  foreign.site.page("fine.html", head, `<div class="bar">A bar</div>${panel}${listOf(ids)}`);
  const { complaints } = await foreign.open(page, "fine.html#trellis-check");
  const check = page.getByRole("dialog", { name: "Check of this page" });
  await expect(check.getByRole("heading")).toHaveText("Nothing is wrong on this page");
  await expect(check).toContainText("climber-finder: 240 products");
  expect(complaints).toEqual([]);
  await check.getByRole("button", { name: "Close" }).click();
  await expect(check).toHaveCount(0);
});

test("a page lists what is wrong on it, and hands it over as a file", async ({ page, foreign }) => {
  const panel = foreign.piece("index/climber-finder.html");
  foreign.site.put("bar.css", ".bar { position: sticky; top: 0; height: 60px; background: #eee; z-index: 5; }");
  foreign.site.page(
    "wrong-list.html",
    `${foreign.head}<link rel="stylesheet" href="/bar.css">`,
    `<div class="bar">A bar</div>${panel}${listOf([...ids.slice(1), "ZZ9", "LM002"])}<script>document.title = "x"</script>`,
  );
  await foreign.open(page, "wrong-list.html#trellis-check");
  const check = page.getByRole("dialog", { name: "Check of this page" });
  await expect(check).toContainText("The catalogue doesn’t contain 1 product of the list (ZZ9).");
  await expect(check).toContainText("The list lacks 1 product of the page (LM001).");
  await expect(check).toContainText("The list has 1 product more than once (LM002).");
  await expect(check).toContainText("The page’s policy has refused script-src");
  const download = page.waitForEvent("download");
  await check.getByRole("button", { name: "Download" }).click();
  const report = checkValue("check", siteCheck, JSON.parse(readFileSync(await (await download).path(), "utf8")));
  expect(report).toMatchObject({
    screen: { width: 1280, band: "wide" },
    panels: [{ panel: "climber-finder", page: "/", ready: true, products: 240 }],
    lists: [{ products: 241, unknown: ["ZZ9"], missing: ["LM001"], twice: ["LM002"] }],
  });
  expect(report.shift).toBeLessThan(0.01);
});
