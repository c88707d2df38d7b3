import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { addMarkup, type ForeignSite, foundBy, panelOf, ready, test, told } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

/** The tags that never change. */
const lines = ({ folder }: ForeignSite): string =>
  `<link rel="stylesheet" href="/${folder}/trellis-space.css">\n<script src="/${folder}/trellis.js"></script>\n`;

const panel = '<trellis-panel name="climber-finder"></trellis-panel>';
const ourList = "<trellis-listing></trellis-listing>";
const after = "<footer><h2>Below</h2></footer>";

async function put(foreign: ForeignSite, path: string, body: string): Promise<void> {
  foreign.site.page(path, lines(foreign), body + after);
}

const shiftOf = (page: Page): Promise<number> => page.evaluate(() => window.shift);

for (const [band, viewport] of [
  ["wide", { width: 1280, height: 800 }],
  ["slim", { width: 390, height: 844 }],
] as const)
  test(`a line that never changes brings the panel and the products, and keeps their space on ${band}`, async ({
    page,
    foreign,
  }) => {
    await page.setViewportSize(viewport);
    await put(foreign, "line.html", panel + ourList);
    const { complaints } = await foreign.open(page, "line.html");
    await ready(page);
    await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
    await expect(page.locator("[data-trellis-cards] > li").first()).toBeVisible();
    expect(await shiftOf(page)).toBeLessThan(0.01);
    await panelOf(page).evaluate((one: TrellisPanelElement) => one.choose("light", { options: ["shade"] }));
    const { total, products } = await foreign.site.tally({ choices: { light: { options: ["shade"] } }, text: "" });
    await expect(page.locator("[data-trellis-count]")).toHaveText(`${total} products`);
    expect(await foundBy(page)).toEqual(products);
    expect(complaints).toEqual([]);
  });

test("it finds its page by the address of the site’s page, or by an attribute", async ({ page, foreign }) => {
  await put(foreign, "shop/collections/gifts.html", panel + ourList);
  await put(foreign, "presents.html", panel.replace(">", ' page="/collections/gifts">') + ourList);
  const { open } = foreign;
  const counts: (string | null)[] = [];
  for (const path of ["shop/collections/gifts.html", "presents.html"]) {
    await open(page, path);
    await ready(page);
    counts.push(await page.locator("[data-trellis-count]").textContent());
  }
  expect(counts[0]).toMatch(/^\d+ products$/);
  expect(counts[0]).not.toBe("240 products");
  expect(counts[1]).toBe(counts[0]);
});

test("it goes on a page that draws itself late, with the site’s own list and card", async ({ page, foreign }) => {
  await put(foreign, "empty.html", "");
  await foreign.open(page, "empty.html");
  await addMarkup(page, panel);
  await ready(page);
  await addMarkup(page, '<ul data-trellis-list=""><li data-trellis-product="LM001">One</li></ul>');
  await expect.poll(() => foundBy(page)).toHaveLength(240);
  await page.goto(page.url());
  await addMarkup(
    page,
    `${panel}<trellis-listing><template><p data-slot="title" class="mine"></p></template></trellis-listing>`,
  );
  await expect(page.locator("p.mine").first()).toBeVisible();
});

test("a page’s own sort box still sorts after a list of ours has joined the panel", async ({ page, foreign }) => {
  await put(foreign, "late.html", `${panel}<select data-trellis-sort="" id="order" aria-label="Sort by"></select>`);
  await foreign.open(page, "late.html");
  await ready(page);
  const order = page.locator("#order");
  await expect(order).toHaveValue("");
  await addMarkup(page, ourList);
  const cards = page.locator("[data-trellis-cards] > li");
  await expect(cards.first()).toBeVisible();
  await order.selectOption({ index: 1 });
  const sort = await order.inputValue();
  expect(sort).not.toBe("");
  await expect.poll(async () => (await told(page, "results")).at(-1)?.sort).toBe(sort);
  await expect(cards.first()).toHaveAttribute("data-trellis-product", (await foundBy(page))[0] ?? "");
});

test("it finds its files beside its script, whatever place the handoff was made for", async ({ page, foreign }) => {
  foreign.site.handOver("moved/files", "--at", "/somewhere/else/", "--page", "/");
  await put({ ...foreign, folder: "moved/files" }, "moved.html", panel + ourList);
  await foreign.open(page, "moved.html");
  await ready(page);
  await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
});

test("a name that the handoff lacks is told, with those that it has", async ({ page, foreign }) => {
  await put(foreign, "wrong.html", '<trellis-panel name="climbers"></trellis-panel>');
  await foreign.open(page, "wrong.html");
  await expect.poll(() => told(page, "trouble")).toHaveLength(1);
  const [trouble] = await told(page, "trouble");
  expect(trouble).toMatchObject({ of: "markup" });
  expect(String(trouble?.message)).toMatch(/no panel “climbers”.*climber-finder/);
});

test("a new handoff shows on the same page without a change to it", async ({ page, foreign }) => {
  const again = "deep/again";
  const shop = JSON.parse(foreign.site.shopFile("panels/climber-finder.json"));
  foreign.site.handOver(again, "--at", `/${again}/`, "--page", "/");
  await put({ ...foreign, folder: again }, "again.html", panel + ourList);
  await foreign.open(page, "again.html");
  await expect(panelOf(page).getByText("Light", { exact: true }).first()).toBeVisible();
  const rows = shop.rows.map((row: { field?: string }) => (row.field === "light" ? { ...row, label: "Where" } : row));
  foreign.site.putShopFile("panels/climber-finder.json", JSON.stringify({ ...shop, rows }));
  try {
    foreign.site.handOver(again, "--at", `/${again}/`, "--page", "/");
    await page.reload();
    await expect(panelOf(page).getByText("Where", { exact: true }).first()).toBeVisible();
  } finally {
    foreign.site.putShopFile("panels/climber-finder.json", JSON.stringify(shop));
  }
});
