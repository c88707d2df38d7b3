import { readFileSync } from "node:fs";
import { type ForeignSite, foundBy, ready, test } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

/** Hands the shop over with its products paged in one way, onto a page of its own. */
async function open(page: Page, foreign: ForeignSite, more: "pages" | "scroll"): Promise<void> {
  const before = foreign.site.shopFile("pages.json");
  const pages = JSON.parse(before);
  const folder = `paged/${more}`;
  foreign.site.putShopFile(
    "pages.json",
    JSON.stringify({ ...pages, everywhere: { ...pages.everywhere, more, size: 24 } }),
  );
  try {
    foreign.site.handOver(folder, "--at", `/${folder}/`, "--page", "/");
  } finally {
    foreign.site.putShopFile("pages.json", before);
  }
  const piece = (name: string) => foreign.site.piece(`${folder}/${name}`);
  foreign.site.page(
    `${more}.html`,
    piece("head.html"),
    piece("pages/index/climber-finder.html") + piece("pages/index/listing.html"),
  );
  await foreign.open(page, `${more}.html`);
  await ready(page);
}

const cards = (page: Page) => page.locator("[data-trellis-cards] > li");

test("numbered pages, as the layout says, with the top of the list in sight after each", async ({ page, foreign }) => {
  await open(page, foreign, "pages");
  await expect(cards(page)).toHaveCount(24);
  const found = await foundBy(page);
  const second = page.getByRole("link", { name: "Page 2", exact: true });
  await second.scrollIntoViewIfNeeded();
  await second.click();
  await expect(cards(page).first()).toHaveAttribute("data-trellis-product", found[24] ?? "");
  await expect(cards(page)).toHaveCount(24);
  await expect(cards(page).first()).toBeInViewport();
  await expect(page).toHaveURL(/page=2/);
});

test("more comes while scrolling, as the layout says, until all is there", async ({ page, foreign }) => {
  await open(page, foreign, "scroll");
  await expect(cards(page)).toHaveCount(24);
  for (let count = 48; count <= 240; count += 24) {
    await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
    await expect.poll(() => cards(page).count()).toBeGreaterThanOrEqual(count);
  }
  await expect(cards(page)).toHaveCount(240);
  expect(await cards(page).evaluateAll((all) => all.map((one) => one.getAttribute("data-trellis-product")))).toEqual(
    await foundBy(page),
  );
});

test("a long list of the site's own shows its products while scrolling, each of them once", async ({
  page,
  foreign,
}) => {
  const known = [...new Set(readFileSync("demo/nursery.csv", "utf8").match(/^LM\d{3}/gm))];
  // Longer than the catalogue: variants of a product may each have a row.
  const rows = Array.from({ length: 3000 }, (_, at) => known[(at * 7) % known.length] ?? "");
  const list = rows.map((id, at) => `<li data-trellis-product="${id}" data-at="${at}">${id} ${at}</li>`).join("\n");
  foreign.site.page(
    "long.html",
    foreign.head,
    `${foreign.piece("index/climber-finder.html")}<p data-trellis-count=""></p><ul data-trellis-list="">\n${list}\n</ul>`,
  );
  await foreign.open(page, "long.html");
  await ready(page);
  const shown = page.locator("[data-trellis-list] > li:visible");
  await expect.poll(() => shown.count()).toBeLessThan(400);
  await page
    .getByRole("checkbox", { name: /^Full sun/ })
    .first()
    .check();
  const { products } = await foreign.site.tally({ choices: { light: { options: ["full sun"] } }, text: "" });
  const fitting = new Set(products);
  const expected = rows.flatMap((id, at) => (fitting.has(id) ? [String(at)] : []));
  expect(expected.length).toBeGreaterThan(600);
  await expect
    .poll(
      async () => {
        await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
        return shown.count();
      },
      { intervals: [100] },
    )
    .toBe(expected.length);
  expect(await shown.evaluateAll((all) => all.map((one) => one.getAttribute("data-at")))).toEqual(expected);
  // A further choice shows few again, so that it is quick.
  await page.evaluate(() => scrollTo(0, 0));
  await page
    .getByRole("checkbox", { name: /^Shade/ })
    .first()
    .check();
  await expect.poll(() => shown.count()).toBeLessThan(400);
});

test("rows of a long list are plain boxes as long as nobody could tell: with a marker or a rule of the site they are not", async ({
  page,
  foreign,
}) => {
  const rows = Array.from(
    { length: 400 },
    (_, at) => `<li data-trellis-product="LM${String((at % 240) + 1).padStart(3, "0")}">${at}</li>`,
  );
  const body = `${foreign.piece("index/climber-finder.html")}<ul class="mine" data-trellis-list="">${rows.join("\n")}</ul>`;
  foreign.site.put(
    "mine.css",
    ".mine { list-style: none } @layer wide { @media (width > 800px) { .mine > li { display: flex } } }",
  );
  foreign.site.page("plain.html", `<link rel="stylesheet" href="/mine.css">\n${foreign.head}`, body);
  foreign.site.page("marked.html", foreign.head, body);
  const row = page.locator("[data-trellis-list] > li:visible").first();
  const display = () => row.evaluate((one) => getComputedStyle(one).display);
  await page.setViewportSize({ width: 390, height: 844 });
  await foreign.open(page, "plain.html");
  await ready(page);
  await expect.poll(display).toBe("block");
  await expect(row).toHaveRole("listitem");
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect.poll(display).toBe("flex");
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(display).toBe("block");
  await foreign.open(page, "marked.html");
  await ready(page);
  await page.waitForFunction(() => document.fonts.status === "loaded");
  expect(await display()).toBe("list-item");
});
