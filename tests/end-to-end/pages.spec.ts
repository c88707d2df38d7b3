import { demoPages } from "../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../demo/panel.ts";
import type { PagesDocument } from "../../src/core/page/pages-schema.ts";
import { newFacet } from "../../src/core/panel/panel.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { newPiece } from "../../src/core/panel/pieces.ts";
import { expectAccessible } from "./axe.ts";
import { demoShop, newShop, origin } from "./bench.ts";
import { answered, awake } from "./shop-page.ts";
import { type APIRequestContext, devices, expect, type Page, test } from "./test.ts";

const shop = `/draft/${demoShop}`;

async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await awake(page);
}

const total = (page: Page) => page.locator(".zt-total");

/** A shop with the demo's catalogue, panels and pages, for tests that change what stands on them. */
async function ownShop(
  request: APIRequestContext,
  name: string,
  change: { panels?: readonly PanelDocument[]; pages?: Partial<PagesDocument> } = {},
): Promise<string> {
  const slug = await newShop(request, name);
  const documents = `/api/shops/${slug}/documents`;
  for (const document of change.panels ?? [demoPanel, demoQuestions, demoAside])
    expect((await request.post(`${documents}/panel`, { data: { document }, headers: origin })).status()).toBe(201);
  const layouts = { ...demoPages.layouts, shop: { panels: [{ panel: "climber-finder" }] } };
  const document = { ...demoPages, layouts, ...change.pages };
  const saved = await request.put(`${documents}/pages`, { data: { version: 0, document }, headers: origin });
  expect(saved.status()).toBe(200);
  return `/draft/${slug}`;
}

test("every kind of page has its address, its way down, its products, and nothing serious for axe", async ({
  page,
}) => {
  for (const [address, title, found, crumbs] of [
    ["/", "All products", "240 products", []],
    ["/collections/on-sale", "On sale now", "25 products", ["All products"]],
    ["/collections/hardiness-h2-tender", "Hardiness: H2 tender", "27 products", ["All products"]],
    ["/categories/plants/climbers/clematis", "Clematis", /^\d+ products$/, ["All products", "Plants", "Climbers"]],
    ["/brands/fennimore-daughters", "Fennimore & Daughters", /^\d+ products$/, ["All products"]],
    ["/tags/scented", "scented", /^\d+ products$/, ["All products"]],
    ["/search?q=sweet+pea", "Results for “sweet pea”", /^\d+ products$/, ["All products"]],
    ["/articles/choosing-a-climber", "Choosing a climber", "240 products", ["All products"]],
  ] as const) {
    await open(page, shop + address);
    await expect(page.getByRole("heading", { level: 1 })).toHaveText(title);
    await expect(total(page)).toHaveText(found);
    await expect(page.locator(".zs-crumbs a")).toHaveText([...crumbs]);
    await expectAccessible(page);
  }
});

test("a menu leads from page to page, a card to its product with the matching variant, and nowhere is a dead end", async ({
  page,
}) => {
  await open(page, `${shop}/`);
  await page.getByRole("navigation", { name: "Menu" }).getByRole("link", { name: "Sale" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("On sale now");
  await awake(page);
  await page.locator('.zt-panel input[value="10 l"]').check();
  const card = page.locator(".zs-card").first();
  await expect(card.getByRole("link")).toHaveAttribute("href", /variant=\d/);
  const price = (await card.locator(".zs-price").innerText()).match(/€[\d.]+/)?.[0] ?? "";
  await card.getByRole("link").click();
  const chosen = page.locator(".zs-variants [aria-current]");
  await expect(chosen).toContainText("10 l");
  await expect(chosen).toContainText(price);
  await expectAccessible(page);
  const answer = await page.goto(`${shop}/collections/none-such`);
  expect(answer?.status()).toBe(404);
  await expectAccessible(page);
  await page.getByRole("main").getByRole("searchbox").fill("jasmine");
  await page.getByRole("main").getByRole("button", { name: "Search" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Results for “jasmine”");
});

test("two panels on a page share what is chosen, and its table has the matching variant chosen", async ({ page }) => {
  await open(page, `${shop}/collections/gifts`);
  await expect(total(page)).toHaveText("32 products");
  await expect(page.locator(".zs-above .zt-panel, .zs-left .zt-panel")).toHaveCount(2);
  await page
    .locator(".zs-left")
    .getByRole("checkbox", { name: /^Half shade/ })
    .check();
  const dropdown = page.locator('.zs-above [data-row="f-light"]');
  await expect(dropdown).toContainText("Half shade");
  await answered(page);
  expect(Number.parseInt(await total(page).innerText(), 10)).toBeLessThan(32);
  await page.locator('.zs-left input[value="2 l"]').check();
  // Every row that is left has it chosen, once the answer has come.
  const chosen = () =>
    page
      .locator(".zs-variant")
      .evaluateAll((all) => all.map((one) => (one as HTMLSelectElement).selectedOptions[0]?.text.slice(0, 3)));
  await expect.poll(async () => [...new Set(await chosen())]).toEqual(["2 l"]);
  // Every product here has a variant of that size in stock for 10 to 45; another variant shows its own price.
  const row = page.locator(".zs-table tbody tr").first();
  const [before] = (await row.locator(".zs-price").innerText()).match(/€[\d.]+/) ?? [];
  const select = row.locator(".zs-variant");
  await select.selectOption({ index: (await select.locator("option").count()) - 1 });
  const [after] = (await row.locator(".zs-price").innerText()).match(/€[\d.]+/) ?? [];
  expect(after).not.toBe(before);
  await row.getByRole("button", { name: /^Add to basket: / }).click();
  await expect(page.locator(".zs-basket")).toHaveText("Basket 1");
});

test("orders of the designer's own, and more behind a button that keeps its place on reload and back", async ({
  page,
}) => {
  await open(page, `${shop}/collections/ready-for-less-than-15`);
  const cards = page.locator(".zs-card");
  await expect(cards).toHaveCount(24);
  await expect(page.getByText("24 of 182 shown")).toBeVisible();
  const sort = page.getByRole("combobox", { name: "Sort by" });
  await expect(sort.locator("option")).toHaveText([
    "As we would show it",
    "Cheapest first",
    "Dearest first",
    "Tallest first",
  ]);
  await sort.selectOption("Dearest first");
  await expect(page).toHaveURL(/sort=-price/);
  await page.getByRole("link", { name: "Show 24 more" }).click();
  await expect(cards).toHaveCount(48);
  await page.reload();
  await expect(cards).toHaveCount(48);
  await expect(sort).toHaveValue("-price");
  await page.locator(".zs-card a").nth(40).click();
  await expect(page.getByRole("heading", { level: 2, name: "Details" })).toBeVisible();
  await page.goBack();
  await expect(cards).toHaveCount(48);
});

test("more comes while scrolling and keeps its place; a choice leads back to the top where the panel wants it", async ({
  page,
  request,
}) => {
  const layouts = { ...demoPages.layouts, shop: { panels: [{ panel: "climber-finder" }], more: "scroll" as const } };
  const behaviour = { back: "top" as const, sticky: { wide: true } };
  const own = await ownShop(request, "Scrolling", { panels: [{ ...demoPanel, behaviour }], pages: { layouts } });
  await open(page, `${own}/`);
  const cards = page.locator(".zs-card");
  await expect(cards).toHaveCount(24);
  const steps = await page.evaluate(() => history.length);
  await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
  await expect.poll(() => cards.count()).toBeGreaterThanOrEqual(48);
  await expect(page).toHaveURL(/page=\d/);
  // More of the same is no step of its own.
  expect(await page.evaluate(() => history.length)).toBe(steps);
  const shown = await cards.count();
  await page.reload();
  await awake(page);
  expect(await cards.count()).toBeGreaterThanOrEqual(shown);
  await page.evaluate(() => scrollTo(0, 2500));
  await page.locator('.zt-panel input[value="half shade"]').check();
  await expect(total(page)).toHaveText("74 products of 240");
  await expect
    .poll(() => page.evaluate(() => Math.round(document.querySelector(".zs-result")?.getBoundingClientRect().top ?? 0)))
    .toBe(92);
});

test("nothing found says what taking back each choice would find", async ({ page }) => {
  await open(page, `${shop}/collections/gifts?light=shade&category=pots`);
  await expect(page.getByText("No gift is like that. A voucher always fits.")).toBeVisible();
  const ways = page.locator(".zs-back button");
  const told = await ways.allInnerTexts();
  expect(told.length).toBe(2);
  const numbers = told.map((text) => Number(text.match(/(\d+) products?$/)?.[1]));
  expect(numbers).toEqual([...numbers].sort((a, b) => b - a));
  await ways.first().click();
  await expect(total(page)).toContainText(`${numbers[0]} product`);
  await expectAccessible(page);
});

test("the search offers pages and products while it is typed into, by keyboard, and near spellings", async ({
  page,
}) => {
  await open(page, `${shop}/articles/choosing-a-climber`);
  const field = page.getByLabel("Search the shop");
  await field.fill("wist");
  const list = page.getByRole("listbox", { name: "Suggestions" });
  await expect(list.getByRole("option").first()).toContainText("Wisteria");
  await expect(field).toHaveAttribute("aria-expanded", "true");
  await field.press("ArrowDown");
  await expect(list.getByRole("option").first()).toHaveAttribute("aria-selected", "true");
  await expect(field).toHaveAttribute("aria-activedescendant", "zs-offers-0");
  await expectAccessible(page);
  await field.press("Escape");
  await expect(list).toBeHidden();
  await field.fill("wiste");
  await expect(list.getByRole("option").first()).toBeVisible();
  await field.press("ArrowUp");
  await expect(list.getByRole("option").last()).toHaveAttribute("aria-selected", "true");
  await field.press("ArrowDown");
  await field.press("ArrowDown");
  await field.press("Enter");
  await expect(page).toHaveURL(/\/categories\/plants\/climbers\/wisteria$/);
  await open(page, `${shop}/search?q=honeysukle`);
  await page.getByRole("link", { name: "honeysuckle" }).click();
  await expect(page).toHaveURL(/q=honeysuckle/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Results for “honeysuckle”");
  await expect(page.locator(".zs-card").first()).toContainText(/honeysuckle/i);
});

test("a sticky panel stays under the bars: 44 and 48 px are 92, a fine-tune of −4 makes 88; it scrolls where it is too high", async ({
  page,
  request,
}) => {
  for (const [nudge, offset] of [
    [0, 92],
    [-4, 88],
  ] as const) {
    const behaviour = { sticky: { wide: true }, nudge: { wide: nudge } };
    const own = await ownShop(request, `Sticky ${offset}`, { panels: [{ ...demoPanel, behaviour }] });
    await open(page, `${own}/`);
    const panel = page.locator("[data-sticky]");
    await page.evaluate(() => scrollTo(0, 900));
    await expect.poll(async () => (await panel.boundingBox())?.y).toBe(offset);
    expect(
      await panel.evaluate((box) => [box.scrollHeight > box.clientHeight, getComputedStyle(box).overflowY]),
    ).toEqual([true, "auto"]);
    expect(Math.round((await panel.boundingBox())?.height ?? 0)).toBe(800 - offset);
  }
});

test("a row above the products stays under the bars where it leaves 60% of the screen, set in four acts", async ({
  page,
  request,
}) => {
  const rows = ["light", "hardiness"].map((field) =>
    newFacet(`f-${field}`, field, "dropdown", "any", { share: { wide: "half" } }),
  );
  const own = await ownShop(request, "Row", { panels: [{ ...demoPanel, behaviour: undefined, rows }] });
  const slug = own.split("/").at(-1);
  await page.goto(`/shops/${slug}/panels/climber-finder`);
  await page.getByRole("button", { name: /^The panel on wide/ }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Above the products/ })
    .click();
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  await page.getByRole("switch", { name: "Sticky of the panel on wide" }).click();
  await expect(
    page.getByText(/^Offset from the top: wide 92 px, \d+ px high: [67]\d% of the screen stays free/),
  ).toBeVisible();
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  // The phone has it too, instead of the drawer.
  await page.getByRole("button", { name: /^The panel on slim/ }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Above the products/ })
    .click();
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await open(page, `${own}/`);
    const row = page.locator("[data-row-sticky]");
    await expect(row).toHaveAttribute("data-row-sticky", "kept");
    await page.evaluate(() => scrollTo(0, 700));
    await expect.poll(async () => Math.round((await row.boundingBox())?.y ?? 0)).toBe(92);
    // An opened part is on the screen to its end, and works from there.
    await row.locator("summary").first().click();
    const menu = row.locator(".zt-menu").first();
    const box = await menu.boundingBox();
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(height);
    await menu.getByRole("checkbox", { name: /^Half shade/ }).check();
    await expect(total(page)).toHaveText("74 products of 240");
    await expectAccessible(page);
  }
  // A phone held sideways has no room for it: it scrolls away, as the tool says.
  await page.setViewportSize({ width: 740, height: 360 });
  await open(page, `${own}/`);
  await expect(page.locator('[data-row-sticky=""]')).toHaveCount(1);
  await page.evaluate(() => scrollTo(0, 700));
  expect((await page.locator("[data-row-sticky]").boundingBox())?.y).toBeLessThan(-200);
});

test("a row that grows while it stays scrolls by itself, so that all of it can be reached", async ({
  page,
  request,
}) => {
  const rows = [
    newFacet("f-light", "light", "dropdown", "any"),
    newFacet("f-grower", "brand", "check-boxes", "any", { start: "folded", foldAfter: { wide: 0 } }),
    newFacet("f-flower", "flower-colour", "check-boxes", "any", { start: "folded", foldAfter: { wide: 0 } }),
  ];
  const own = await ownShop(request, "Growing", {
    panels: [{ ...demoPanel, placement: { wide: "above" }, rows }],
  });
  await open(page, `${own}/`);
  const row = page.locator("[data-row-sticky]");
  await page.evaluate(() => scrollTo(0, 700));
  await expect.poll(async () => Math.round((await row.boundingBox())?.y ?? 0)).toBe(92);
  await page.getByRole("button", { name: "Flower colour" }).click();
  await expect(row).toHaveAttribute("data-row-sticky", "tall");
  const box = await row.boundingBox();
  expect([Math.round(box?.y ?? 0), (box?.y ?? 0) + (box?.height ?? 0) <= 800]).toEqual([92, true]);
  const last = row.getByRole("checkbox").last();
  await last.scrollIntoViewIfNeeded();
  await last.check();
  await expect(total(page)).toHaveText(/of 240$/);
  await page.getByRole("button", { name: "Flower colour" }).click();
  await expect(row).toHaveAttribute("data-row-sticky", "kept");
});

test("on a button nothing changes until it is pressed, and it tells how many there would be", async ({
  page,
  request,
}) => {
  const behaviour = { apply: { wide: "button" as const }, chosen: { wide: "above" as const } };
  const own = await ownShop(request, "Patient", { panels: [{ ...demoPanel, behaviour }] });
  await open(page, `${own}/`);
  const list = page.locator(".zs-result");
  const top = (await list.boundingBox())?.y;
  await page.getByRole("checkbox", { name: /^Half shade/ }).check();
  await page.getByRole("checkbox", { name: /^Apricot/ }).check();
  await expect(total(page)).toHaveText("240 products");
  expect(page.url()).not.toContain("light");
  // The button's count follows a touch by a frame or more.
  const button = page.getByRole("button", { name: /^Show 1?\d products?$/ });
  const told = Number((await button.innerText()).match(/\d+/)?.[0]);
  await button.click();
  await expect(total(page)).toHaveText(`${told} products of 240`);
  await expect(page).toHaveURL(/light=half\+shade/);
  // Chosen filters stand above the products, in room that was kept: nothing has moved.
  await expect(page.locator(".zs-chosen").getByRole("button", { name: /^Remove Light/ })).toBeVisible();
  expect((await list.boundingBox())?.y).toBe(top);
  await expectAccessible(page);
});

test("a panel in an article stands beside the text and takes its choices to another page", async ({ page }) => {
  await open(page, `${shop}/articles/plants-and-pets`);
  const panel = page.locator(".zt-inset");
  expect(Math.round((await panel.boundingBox())?.width ?? 0)).toBe(260);
  await expect(page.locator(".zs-result")).toHaveCount(0);
  await page.getByRole("checkbox", { name: /^Half shade/ }).check();
  // Fewer than the 121 plants that it begins with.
  const button = page.getByRole("button", { name: /^Show \d\d products$/ });
  const told = Number((await button.innerText()).match(/\d+/)?.[0]);
  await button.click();
  await expect(page).toHaveURL(/\/categories\/plants\?light=half\+shade$/);
  await expect(total(page)).toHaveText(`${told} products of 121`);
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const)
  test(`at ${width} px a panel that acts at once takes the shopper along with the first choice`, async ({
    page,
    request,
  }) => {
    const { apply: _button, ...behaviour } = demoAside.behaviour ?? {};
    const rows = [newPiece("search", "find"), ...demoAside.rows, newFacet("f-price", "price", "slider", "range")];
    const own = await ownShop(request, `Eager ${width}`, {
      panels: [demoPanel, demoQuestions, { ...demoAside, behaviour, rows }],
      pages: { layouts: { ...demoPages.layouts, category: { panels: [{ panel: "climber-finder" }] } } },
    });
    await page.setViewportSize({ width, height });
    const article = `${own}/articles/plants-and-pets`;
    await open(page, article);
    await expect(page.getByRole("button", { name: /^Show/ })).toHaveCount(0);
    const option = page.getByRole("checkbox", { name: /^Half shade/ });
    const told = await option.locator("..").locator(".zt-count").textContent();
    await option.click();
    await expect(page).toHaveURL(/\/categories\/plants\?light=half\+shade$/);
    await expect(total(page)).toHaveText(`${told?.match(/\d+/)?.[0]} products of 121`);
    // Whoever comes back finds nothing chosen, and is not taken along again.
    await page.goBack();
    await expect(page.locator("html[data-ready]")).toBeAttached();
    await expect(option).not.toBeChecked();
    await page.waitForTimeout(1000);
    expect(page.url()).toContain("/articles/plants-and-pets");
    // Words wait for Enter, a slider for the end of its drag.
    await page.getByRole("searchbox").last().fill("ivy");
    await page.waitForTimeout(1000);
    expect(page.url()).toContain("/articles/plants-and-pets");
    await page.getByRole("searchbox").last().press("Enter");
    await expect(page).toHaveURL(/\/categories\/plants\?q=ivy$/);
    await open(page, article);
    await page.getByRole("slider").first().press("ArrowRight");
    await expect(page).toHaveURL(/\/categories\/plants\?price\.min=/);
  });

test("products are found at their pages whatever their ids are made of", async ({ request }) => {
  const ids = ["a/b", "100%", "a%2Fb", "größe 9", "x?y#z", "..", "<b>"];
  const csv = `product_id,title\n${ids.map((id, n) => `"${id}",Thing number ${n}`).join("\n")}\n`;
  const slug = await newShop(request, "Odd ids", csv);
  for (const [n, id] of ids.entries()) {
    // A client takes “..” for a step up however it is written, so that one product is found by search alone.
    if (id === "..") continue;
    const answer = await request.get(`/draft/${slug}/products/${encodeURIComponent(id)}`);
    expect([id, answer.status(), (await answer.text()).includes(`<h1>Thing number ${n}</h1>`)]).toEqual([
      id,
      200,
      true,
    ]);
  }
  expect((await request.get(`/draft/${slug}/products/none`)).status()).toBe(404);
});

test("hostile text in names, menus and addresses stays text", async ({ page, request }) => {
  const evil = '<img src=x onerror="window.hacked=1">';
  const [first] = demoPages.collections;
  const own = await ownShop(request, "Hostile", {
    pages: {
      collections: first ? [{ ...first, name: evil }] : [],
      articles: [{ id: "a", slug: "a", title: evil, html: "<p>x</p>" }],
      menu: [{ id: "m", label: evil, to: "/" }],
    },
  });
  for (const address of [
    "/collections/on-sale",
    "/articles/a",
    `/search?q=${encodeURIComponent(evil)}`,
    `/${encodeURIComponent(evil)}`,
  ]) {
    await page.goto(own + address);
    await expect(page.getByRole("navigation", { name: "Menu" })).toContainText("onerror");
    expect(await page.evaluate(() => "hacked" in window)).toBe(false);
  }
});

test("what a newer file or a removed panel leaves behind is told, and the pages go on working", async ({
  page,
  request,
}) => {
  const gone = [{ field: "moonlight", options: ["full"] }];
  const [first] = demoPages.collections;
  const own = await ownShop(request, "Left behind", {
    pages: {
      collections: first
        ? [{ ...first, of: { by: "conditions", join: "all", conditions: gone }, name: "By moonlight" }]
        : [],
      layouts: { ...demoPages.layouts, brand: { panels: [{ panel: "none-such" }], within: gone } },
      exceptions: {},
    },
  });
  await open(page, `${own}/brands/wickwillow`);
  await expect(page.locator(".zs-card")).toHaveCount(24);
  await open(page, `${own}/collections/on-sale`);
  await expect(page.getByText("No products here at the moment")).toBeVisible();
  await page.goto(`${own.replace("/draft/", "/shops/")}/pages`);
  for (const [name, words] of [
    ["By moonlight", /uses “moonlight”, which the catalogue no longer has/],
    ["Wickwillow", /The panel “none-such” was removed/],
    ["Wickwillow", /always filters by “moonlight”.*is ignored/],
  ] as const) {
    await page.getByRole("searchbox", { name: "Find a page" }).fill(name);
    const unfold = page.getByRole("button", { name: `Facets on ${name}` });
    if ((await unfold.getAttribute("aria-expanded")) === "false") await unfold.click();
    await expect(page.getByRole("list", { name: "Findings" })).toContainText(words);
  }
});

test.describe("without scripts", () => {
  test.use({ javaScriptEnabled: false });
  test("pages, their panels, more, nothing found and the search work as forms and links", async ({ page }) => {
    await page.goto(`${shop}/collections/gifts`);
    await page
      .locator(".zs-left")
      .getByRole("checkbox", { name: /^Half shade/ })
      .check();
    await page.locator(".zs-left").getByRole("button", { name: "Show products" }).click();
    await expect(page).toHaveURL(/\/collections\/gifts\?.*light=half\+shade/);
    await page.goto(`${shop}/collections/ready-for-less-than-15`);
    await page.getByRole("link", { name: "Show 24 more" }).click();
    await expect(page.locator(".zs-card")).toHaveCount(48);
    await page.getByLabel("Search the shop").fill("ivy");
    await page.getByLabel("Search the shop").press("Enter");
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Results for “ivy”");
    await page.goto(`${shop}/articles/plants-and-pets`);
    await page.getByRole("checkbox", { name: /^Shade/ }).check();
    await page.getByRole("button", { name: /^Show/ }).click();
    await expect(page).toHaveURL(/\/categories\/plants\?light=shade$/);
  });
});

test.describe("on a phone", () => {
  const { userAgent, isMobile, hasTouch } = devices["Pixel 7"];
  test.use({ viewport: { width: 390, height: 844 }, userAgent, isMobile, hasTouch });

  test("a page lists otherwise, its drawer comes from the foot, and its button floats", async ({ page, request }) => {
    const behaviour = {
      drawerFrom: { wide: "bottom" as const },
      buttonPlace: { wide: "float" as const },
      buttonText: "Narrow it down",
      buttonIcon: "sliders" as const,
    };
    const own = await ownShop(request, "Thumbs", { panels: [{ ...demoPanel, behaviour }, demoQuestions, demoAside] });
    await open(page, `${own}/collections/gifts`);
    await expect(page.locator(".zs-list")).toBeVisible();
    await expect(page.locator(".zs-table")).toHaveCount(0);
    const button = page.getByRole("button", { name: "Narrow it down" });
    const box = await button.boundingBox();
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeGreaterThan(780);
    await button.tap();
    const drawer = page.getByRole("dialog");
    await expect
      .poll(async () =>
        Math.round(((await drawer.boundingBox())?.y ?? 0) + ((await drawer.boundingBox())?.height ?? 0)),
      )
      .toBe(844);
    expect(Math.round((await drawer.boundingBox())?.width ?? 0)).toBe(390);
    await expectAccessible(page);
  });

  test("what is chosen and bought with in a table stays within sight, and its table scrolls beside it", async ({
    page,
    request,
  }) => {
    const own = await ownShop(request, "Table", {
      pages: {
        layouts: { ...demoPages.layouts, shop: { form: { wide: "table" }, panels: [{ panel: "climber-finder" }] } },
        exceptions: {},
      },
    });
    await open(page, `${own}/`);
    const choice = page.locator(".zs-table .zs-variant").first();
    for (const scrolled of [0, 120]) {
      await page.locator(".zs-scroll").evaluate((box, left) => box.scrollTo({ left }), scrolled);
      const box = await choice.boundingBox();
      expect([(box?.x ?? -1) >= 0, (box?.x ?? 0) + (box?.width ?? 0) <= 390]).toEqual([true, true]);
    }
    const buy = page.locator(".zs-table .zs-buy:enabled").first();
    await buy.click();
    await expect(page.getByText("Basket 1")).toBeVisible();
  });

  test("a drawer's button takes what was chosen in it, and going back takes all of that back", async ({
    page,
    request,
  }) => {
    const behaviour = { apply: { wide: "button" as const } };
    const own = await ownShop(request, "Patient thumbs", { panels: [{ ...demoPanel, behaviour }] });
    await open(page, `${own}/`);
    await page.getByRole("button", { name: /^Filters/ }).tap();
    const drawer = page.getByRole("dialog");
    for (const value of ["shade", "half shade"]) await drawer.locator(`input[value="${value}"]`).check();
    await drawer.locator('input[value="shade"]').uncheck();
    await expect(total(page)).toHaveText("240 products");
    await drawer.getByRole("button", { name: "Show 74 products" }).tap();
    await expect(drawer).toBeHidden();
    await expect(total(page)).toHaveText("74 products of 240");
    await expect(page).toHaveURL(/light=half\+shade$/);
    // It stays so when the browser has caught up with its history.
    await page.waitForTimeout(300);
    await expect(total(page)).toHaveText("74 products of 240");
    await page.goBack();
    await expect(total(page)).toHaveText("240 products");
    await expect(page).not.toHaveURL(/light=/);
    // Enter in a field is a choice, and presses the button.
    await page.getByRole("button", { name: /^Filters/ }).tap();
    await drawer.getByRole("textbox", { name: "Price to" }).fill("20");
    await drawer.getByRole("textbox", { name: "Price to" }).press("Enter");
    await expect(drawer).toBeHidden();
    await expect(page).toHaveURL(/price\.max=20/);
    await expect(total(page)).toHaveText(/^\d+ products of 240$/);
    await page.goBack();
    await expect(total(page)).toHaveText("240 products");
    // Closed without its button, it takes nothing and leaves no step behind.
    await page.getByRole("button", { name: /^Filters/ }).tap();
    await drawer.locator('input[value="shade"]').check();
    await page.getByRole("button", { name: "Close filters" }).tap();
    await expect(drawer).toBeHidden();
    await expect(total(page)).toHaveText("240 products");
    await expect(page).not.toHaveURL(/light=/);
  });
});
