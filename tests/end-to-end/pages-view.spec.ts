import { expectAccessible } from "./axe.ts";
import { demoShop, newShop, openBench } from "./bench.ts";
import { expect, test } from "./test.ts";

test("the table tells every page's figures, and a cell places a panel for a kind or for one page", async ({ page }) => {
  const shop = await newShop(page.request, "Tabled");
  await page.goto(`/shops/${shop}/pages`);
  const row = (name: string) => page.getByRole("row").filter({ has: page.getByRole("link", { name, exact: true }) });
  await expect(row("All products").getByRole("cell").nth(1)).toHaveText("240");
  await page.getByRole("button", { name: "Facets on All products" }).click();
  await expect(page.getByRole("row", { name: /^Flower colour.*65%/ })).toBeVisible();
  const cell = (where: string) => page.getByRole("button", { name: new RegExp(`^First panel on ${where}:`) });
  await page.getByRole("searchbox", { name: "Find a page" }).fill("Wickwillow");
  await cell("all brands").click();
  await page.getByRole("dialog").getByRole("button", { name: "Above the products" }).click();
  await page.keyboard.press("Escape");
  await expect(cell("Wickwillow")).toHaveAccessibleName(/above the products on wide/);
  await cell("Wickwillow").click();
  await page.getByRole("dialog").getByRole("button", { name: "Not on this page" }).click();
  await expect(cell("Wickwillow")).toHaveAccessibleName(/not here/);
  await page.getByRole("searchbox", { name: "Find a page" }).fill("Tansy");
  await expect(cell("Tansy Hill")).toHaveAccessibleName(/above the products on wide/);
  await expectAccessible(page);
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(cell("Tansy Hill")).toHaveAccessibleName(/left of the products on wide/);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
});

test("a layout is set for one page, seen there, and given back", async ({ page }) => {
  const shop = await newShop(page.request, "Laid out");
  await page.goto(`/shops/${shop}/pages`);
  await page.getByRole("button", { name: "Layout of All products" }).click();
  const side = page.getByRole("complementary", { name: "Layout of All products" });
  await side.getByRole("combobox", { name: "Products on wide" }).selectOption("table");
  await side.getByRole("combobox", { name: "Show more in Product" }).selectOption("Brand");
  await side.getByRole("radio", { name: "button" }).check({ force: true });
  await side.getByRole("button", { name: "Choose conditions" }).click();
  const choose = page.getByRole("dialog", { name: "Choose conditions" });
  await choose.getByRole("button", { name: "Availability" }).click();
  await choose.getByRole("checkbox", { name: /^in stock/i }).check();
  await page.keyboard.press("Escape");
  await expectAccessible(page);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await page.goto(`/draft/${shop}/`);
  await expect(page.locator(".zs-table tbody tr")).toHaveCount(24);
  await expect(page.locator(".zs-table .zs-sold")).toHaveCount(0);
  await expect(page.getByRole("link", { name: "Show 24 more" })).toBeVisible();
  await page.goto(`/shops/${shop}/pages`);
  await page.getByRole("button", { name: "Layout of All products" }).click();
  await page.getByRole("button", { name: "Reset this page" }).click();
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await page.goto(`/draft/${shop}/`);
  await expect(page.locator(".zs-grid .zs-card")).toHaveCount(24);
});

test("collections by conditions and by hand, articles, bars and the menu are made and seen", async ({ page }) => {
  const shop = await newShop(page.request, "Collected");
  await page.goto(`/shops/${shop}/pages/collections`);
  await page.getByRole("button", { name: "New collection" }).click();
  await page.getByRole("textbox", { name: "Name of the collection" }).fill("Small and red");
  await page.getByRole("textbox", { name: "Name of the collection" }).press("Enter");
  await expect(page.getByRole("textbox", { name: "Address" })).toHaveValue("small-and-red");
  await page.getByRole("textbox", { name: "Address" }).fill("Small & red");
  await page.getByRole("textbox", { name: "Address" }).press("Enter");
  await page.getByRole("textbox", { name: "Name of the collection" }).fill("Little and red");
  await page.getByRole("textbox", { name: "Name of the collection" }).press("Enter");
  // A typed address stays when the name changes.
  await expect(page.getByRole("textbox", { name: "Address" })).toHaveValue("small-red");
  await page.getByRole("textbox", { name: "Name of the collection" }).fill("Small and red");
  await page.getByRole("textbox", { name: "Name of the collection" }).press("Enter");
  await page.getByRole("button", { name: "Choose conditions" }).click();
  const choose = page.getByRole("dialog", { name: "Choose conditions" });
  await choose.getByRole("button", { name: "Pot size" }).click();
  await choose.getByRole("checkbox", { name: /^9 cm/ }).check();
  await page.keyboard.press("Escape");
  const found = page.getByRole("status").filter({ hasText: "products:" });
  await expect(found).not.toHaveText(/^240/);
  const told = (await found.innerText()).match(/^\d+/)?.[0];
  await page.getByRole("button", { name: "New collection" }).click();
  await page.getByText("picked by hand").click();
  await page.getByRole("searchbox", { name: "Find products" }).fill("clematis");
  await page.getByRole("list", { name: "Found products" }).getByRole("button").first().click();
  await expect(page.getByText("1 picked")).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("link", { name: "Bars, menu, search, languages" }).click();
  await page.getByRole("spinbutton", { name: "Height of Announcement on slim, in px" }).fill("30");
  await page.getByRole("spinbutton", { name: "Height of Announcement on slim, in px" }).blur();
  await expect(page.getByText("78 px")).toBeVisible();
  await page.getByRole("button", { name: "Entry" }).click();
  await page.getByRole("textbox", { name: "Label of entry 1" }).fill("Little ones");
  await page.getByRole("textbox", { name: "Label of entry 1" }).press("Enter");
  await page.getByRole("combobox", { name: "Address of entry 1" }).fill("/collections/small-red");
  await page.getByRole("combobox", { name: "Address of entry 1" }).blur();
  await page.getByRole("searchbox", { name: "Try a search" }).fill("clematiss");
  await expect(page.getByText(/0 found. Near: clematis/)).toBeVisible();
  await expectAccessible(page);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await page.goto(`/draft/${shop}/`);
  await page.getByRole("link", { name: "Little ones" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Small and red");
  await expect(page.locator(".zt-total")).toHaveText(`${told} products`);
});

test("a panel is put into an article where it is written, and keeps its place there; words and conditions hold for the whole shop", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Written");
  await page.goto(`/shops/${shop}/pages/articles`);
  await page.getByRole("button", { name: "New article" }).first().click();
  const text = page.getByRole("textbox", { name: "Text of the article" });
  await text.click();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("First words.");
  await page.keyboard.press("Enter");
  await page.keyboard.type("Second words.");
  await text.getByText("First words.").click();
  await page.getByRole("combobox", { name: "Insert a panel at the cursor" }).selectOption({ index: 1 });
  await expect(text.getByText(/^Panel: /)).toBeVisible();
  const place = page.getByRole("combobox", { name: /in the text$/ });
  await expect(place).toHaveValue("1");
  // Text before it moves it along.
  await text.getByText("First words.").click();
  await page.keyboard.press("Home");
  await page.keyboard.type("Before all.");
  await page.keyboard.press("Enter");
  await expect(place).toHaveValue("2");
  const saved = () => expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  await saved();
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`/draft/${shop}/articles/article-1`);
    const order = await page
      .locator(".zs-article")
      .evaluate((one) =>
        [...one.querySelectorAll("p, form")]
          .map((part) => (part.matches("form") ? "panel" : part.textContent))
          .filter((part, at, all) => part !== all[at - 1]),
      );
    expect(order.filter((part) => part === "panel" || /words|all/.test(part ?? "")).slice(0, 3)).toEqual([
      "Before all.",
      "First words.",
      "panel",
    ]);
  }
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto(`/shops/${shop}/pages`);
  await page.getByRole("button", { name: "Layout of all pages" }).click();
  const side = page.getByRole("complementary", { name: "Layout of All pages" });
  await side.getByRole("textbox", { name: "Text when no products match" }).fill("Ask us.");
  await side.getByRole("textbox", { name: "Text when no products match" }).blur();
  await saved();
  await page.getByRole("searchbox", { name: "Find a page" }).fill("search");
  await page.getByRole("button", { name: "Layout of all search results" }).click();
  const search = page.getByRole("complementary", { name: "Layout of All search results" });
  await expect(search.getByRole("textbox", { name: "Text when no products match" })).toHaveText("Ask us.");
  await search.getByRole("textbox", { name: "Text when no products match" }).fill("Search for less.");
  await search.getByRole("textbox", { name: "Text when no products match" }).blur();
  await saved();
  for (const [address, words] of [
    ["/?q=qqqq", "Ask us."],
    ["/brands/fennimore-daughters?q=qqqq", "Ask us."],
    ["/search?q=qqqq", "Search for less."],
  ] as const) {
    await page.goto(`/draft/${shop}${address}`);
    await expect(page.locator(".zs-nothing")).toContainText(words);
  }
});

test("the bench shows any page, counts on it, and folds to give the stage room", async ({ page }) => {
  const bench = await openBench(page);
  await page.getByRole("button", { name: /^Page shown/ }).click();
  await page.getByPlaceholder("Find a page").fill("gifts");
  await page.keyboard.press("Enter");
  for (const frame of [bench.wide, bench.phone])
    await expect(frame.getByRole("heading", { level: 1 })).toHaveText("Gifts");
  const evidence = page.getByRole("status", { name: "Numbers of the page" });
  await expect(evidence).toContainText("32 of 32 found");
  await expect(page.locator('li[data-row="f-light"]')).toContainText("63%");
  await bench.wide
    .locator(".zs-left")
    .getByRole("checkbox", { name: /^Half shade/ })
    .check();
  await expect(bench.phone.locator(".zt-badge").first()).toHaveText("1");
  const room = async () => (await page.locator('iframe[title^="Wide page"]').locator("..").boundingBox())?.width ?? 0;
  const before = await room();
  await page.getByRole("button", { name: "Show names only" }).click();
  await expect.poll(room).toBeGreaterThan(before + 150);
  await page.keyboard.press("2");
  await expect(page.locator('iframe[title^="Phone"]')).toHaveCount(0);
  await page.keyboard.press("1");
  await page.keyboard.press("7");
  await expect(page.getByText("shown at 100%")).toBeVisible();
  await page.keyboard.press("4");
  await expectAccessible(page);
  await page.goto(`/shops/${demoShop}/panels/beside-the-text`);
  await expect(bench.wide.getByRole("heading", { level: 1 })).toHaveText("Plants that pets may nibble");
});

test("a panel's behaviour is set on the bench, and what does not apply says why", async ({ page }) => {
  const bench = await openBench(page, true, await newShop(page.request, "Behaved"));
  await bench.addFacet("Light");
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  await page.getByRole("switch", { name: "Sticky of the panel on wide" }).click();
  await page.getByRole("spinbutton", { name: "Fine-tune of the panel on wide" }).fill("-4");
  await page.getByRole("spinbutton", { name: "Fine-tune of the panel on wide" }).press("Enter");
  await expect(page.getByText("wide 88 px, 4 px under the bars")).toBeVisible();
  await expect(bench.wide.locator("[data-sticky]")).toHaveCount(1);
  await expect(page.getByRole("button", { name: /^Sticky on slim: A drawer covers the page/ })).toBeVisible();
  // Two acts send on at the first choice, which is said.
  await page.getByRole("combobox", { name: "Page that choices go to" }).selectOption({ index: 2 });
  await expect(page.getByText("Shoppers leave the page at their first choice.")).toBeVisible();
  await page.getByRole("combobox", { name: "Page that choices go to" }).selectOption({ index: 0 });
  await expect(page.getByText("Shoppers leave the page at their first choice.")).toHaveCount(0);
  await page.getByRole("combobox", { name: "Update results of the panel on wide" }).selectOption("button");
  await bench.wide.getByRole("checkbox", { name: /^Half shade/ }).check();
  await expect(bench.wide.getByRole("button", { name: "Show 74 products" })).toBeVisible();
  await expect(page.getByRole("status", { name: "Numbers of the page" })).toContainText("240 of 240 found");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Undo: The panel: update results button on wide" }).click();
  await expect(bench.wide.locator(".zt-apply-row")).toHaveCount(0);
});
