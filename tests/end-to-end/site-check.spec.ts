import { readFileSync } from "node:fs";
import { demoPages } from "../../demo/pages.ts";
import { siteCheck } from "../../src/core/api/site-check.ts";
import { checkValue } from "../../src/core/document/schema.ts";
import { stickyHeight } from "../../src/core/page/bars.ts";
import { newShop, origin } from "./bench.ts";
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

test("its report is opened in the tool, which takes the bars over as a step that can be undone", async ({ page }) => {
  const shop = await newShop(page.request, "Checked");
  await page.request.post(`/api/shops/${shop}/editions`, { data: { note: "First" }, headers: origin });
  await page.goto(`/shops/${shop}/editions`);
  await page.getByRole("button", { name: "Handoff" }).click();
  const report = {
    format: 1,
    at: "2026-11-30T10:00:00.000Z",
    address: "https://shop.example/plants",
    handoff: { format: 1 },
    screen: { width: 1280, height: 800, band: "wide" },
    panels: [{ panel: "first-panel", group: "", page: "/", ready: true, products: 240 }],
    listings: 1,
    lists: [],
    bars: { measured: 77, expected: 0 },
    missingFonts: [],
    violations: ["img-src: <img src=x onerror=alert(1)>"],
    shift: 0,
  };
  const file = (name: string, text: string) => ({ name, mimeType: "application/json", buffer: Buffer.from(text) });
  const input = page.getByLabel("Report of a page’s check");
  await input.setInputFiles(file("other.json", "{}"));
  await expect(page.getByRole("alert")).toContainText("other.json is not the report of a page’s check");
  await input.setInputFiles(file("trellis-check.json", JSON.stringify(report)));
  const checks = page.getByRole("region", { name: "Checks of pages" });
  await expect(checks).toContainText("Fixed bars cover 77 px at the top");
  await expect(checks).toContainText("img-src: <img src=x onerror=alert(1)>");
  await checks.getByRole("button", { name: "Set the shop’s bars to 77 px on wide" }).click();
  const bars = async () =>
    (await (await page.request.get(`/api/shops/${shop}/documents/pages`)).json()).document.bars.map(
      ({ height, stays }: { height: { wide: number }; stays: { wide: boolean } }) => (stays.wide ? height.wide : 0),
    );
  const sum = async () => (await bars()).reduce((all: number, one: number) => all + one, 0);
  await expect.poll(sum).toBe(77);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect.poll(sum).not.toBe(77);
});
