import { demoPages } from "../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../demo/panel.ts";
import { expectAccessible } from "./axe.ts";
import { drag, newShop, openBench, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, test } from "./test.ts";

const rowsOf = (list: import("@playwright/test").Locator) =>
  list.locator("> li").evaluateAll((rows) => rows.map((row) => (row as HTMLElement).dataset.row));

test("rows are moved, renamed, widened, added and removed on the page itself, by mouse and by keys, and undone", async ({
  page,
}) => {
  const bench = await openBench(page, true, await newShop(page.request, "Arranged"));
  for (const name of ["Light", "Brand", "Hardiness"]) await bench.addFacet(name);
  const rows = page.getByRole("list", { name: "Rows of the panel" });
  await page.keyboard.press("a");
  const rail = page.getByRole("list", { name: "Row heads on wide" });
  const handle = (name: string) => rail.getByRole("button", { name: `Move ${name}`, exact: true });

  await handle("Brand").focus();
  await page.keyboard.press("ArrowUp");
  await expect.poll(() => rowsOf(rows)).toEqual(["f-brand", "f-light", "f-hardiness"]);
  await drag(page, handle("Brand"), bench.wide.locator('[data-row="f-hardiness"]'), ({ x, y, height }) => ({
    x: x + 8,
    y: y + height - 4,
  }));
  await expect.poll(() => rowsOf(rows)).toEqual(["f-light", "f-hardiness", "f-brand"]);

  // Nothing that a shopper would do is done meanwhile.
  await bench.wide.locator('[data-row="f-light"] input').first().click({ force: true });
  await expect(page.getByRole("status", { name: "Numbers of the page" })).toContainText("240 of 240 found");

  const title = rail.getByRole("textbox", { name: "Title of Light" });
  await title.fill("Sun or shade");
  await title.press("Enter");
  await expect(bench.phone.locator('[data-row="f-light"] .zt-title')).toHaveText("Sun or shade");
  await handle("Hardiness").focus();
  const edge = page.getByRole("button", { name: "Width of Hardiness" });
  await edge.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(bench.wide.locator('[data-row="f-hardiness"]')).toHaveAttribute("data-share", "half");

  // A gap opens on the page where something can be put, and closes again.
  await rail.getByRole("button", { name: "Add above Sun or shade" }).hover();
  await expect(bench.wide.locator('[data-row="f-light"]')).toHaveAttribute("data-gap", "before");
  await page.mouse.move(5, 5);
  await expect(bench.wide.locator("[data-gap]")).toHaveCount(0);
  await rail.getByRole("button", { name: "Add above Sun or shade" }).click();
  await page.getByPlaceholder("Find a facet or piece to add").fill("Price");
  await page.keyboard.press("Enter");
  await expect.poll(() => rowsOf(rows)).toEqual(["f-price", "f-light", "f-hardiness", "f-brand"]);
  await rail.getByRole("button", { name: "More for Brand" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Remove", exact: true }).click();
  await expect.poll(() => rowsOf(rows)).toEqual(["f-price", "f-light", "f-hardiness"]);
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: /^Undo/ }).click();
  await expect.poll(() => rowsOf(rows)).toEqual(["f-light", "f-hardiness", "f-brand"]);

  // Nothing of the tool's lies over the page: it has no mark but the outline of what is pointed at.
  expect(await bench.wide.locator("body > *").evaluateAll((all) => all.map((one) => one.className))).not.toContainEqual(
    expect.stringContaining("arrange"),
  );
  const own = page.getByRole("button", { name: /^Move the panel/ }).first();
  await own.focus();
  await page.keyboard.press("ArrowRight");
  await expect(bench.wide.locator('[data-placement="right"] .zt-panel')).toHaveCount(1);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Try", exact: true }).click();
  await expect(rail).toHaveCount(0);
  await bench.wide.getByRole("checkbox", { name: /^Half shade/ }).check();
  await expect(page.getByRole("status", { name: "Numbers of the page" })).toContainText("74 of 240 found");
});

test("a row is dragged to another panel of the page, and a shopper gets neither the marks nor the script", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Carried");
  const documents = `/api/shops/${shop}/documents`;
  for (const document of [demoPanel, demoQuestions, demoAside])
    await page.request.post(`${documents}/panel`, { data: { document }, headers: origin });
  await page.request.put(`${documents}/pages`, { data: { version: 0, document: demoPages }, headers: origin });
  await page.goto(`/shops/${shop}/panels/three-questions?page=/collections/gifts`);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Gifts");
  await page.getByRole("button", { name: "Arrange", exact: true }).click();
  const [light, category] = [
    page.getByRole("list", { name: "Row heads on wide" }).getByRole("button", { name: "Move Light", exact: true }),
    wide.locator('.zs-left [data-row="f-category"]'),
  ];
  await drag(page, light, category, ({ x, y }) => ({ x: x + 40, y: y + 10 }));
  await expect
    .poll(() => rowsOf(page.getByRole("list", { name: "Rows of the panel" })))
    .toEqual(["f-flower-colour", "f-pet-safe"]);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  const stored = async () =>
    (await (await page.request.get(`${documents}/panel/climber-finder`)).json()).document.rows.at(-1);
  await expect.poll(stored).toMatchObject({ field: "light", id: "f-light-2" });
  const scripts: string[] = [];
  page.on("request", (request) => scripts.push(request.url()));
  await page.goto(`/draft/${shop}/collections/gifts`);
  await awake(page);
  expect(scripts.some((address) => /stage|arrange/.test(address))).toBe(false);
  await expect(page.locator("[data-arranging], [data-gap]")).toHaveCount(0);
});

test("a new panel is asked where it shall stand, and is shown there", async ({ page }) => {
  const shop = await newShop(page.request, "Asked");
  await page.goto(`/shops/${shop}/panels`);
  await page.getByRole("button", { name: "New panel" }).click();
  const card = page.getByRole("dialog", { name: "New panel" });
  await card.getByRole("textbox", { name: "Name" }).fill("By brand");
  await card.getByRole("combobox", { name: "Show on" }).selectOption("all brands");
  await card.getByRole("button", { name: "Above the products" }).click();
  await card.getByRole("button", { name: "Create panel" }).click();
  await expect(page).toHaveURL(/panels\/by-brand\?page=%2Fbrands%2F/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.locator('[data-panel="by-brand"]')).toHaveCount(1);
  await expect(page.getByText("On this page:")).toHaveCount(2);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await page.goto(`/draft/${shop}/brands/wickwillow`);
  await expect(page.locator('.zs-above [data-panel="by-brand"]')).toHaveCount(1);
  await page.goto(`/draft/${shop}/`);
  await expect(page.locator('[data-panel="by-brand"]')).toHaveCount(0);
});
