import { expectAccessible } from "./axe.ts";
import { openBench } from "./bench.ts";
import { expect, test } from "./test.ts";

test("all suggested facets come at once, and are gone with one step back", async ({ page }) => {
  const bench = await openBench(page, true);
  await page.getByRole("button", { name: "Facet or piece" }).click();
  const all = page.getByRole("button", { name: /^Add all \d+ suggested$/ });
  const count = Number((await all.textContent())?.match(/\d+/)?.[0]);
  expect(count).toBeGreaterThan(6);
  await all.click();
  const rows = page.getByRole("list", { name: "Rows of the panel" }).locator("> li");
  await expect(rows).toHaveCount(count);
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(count);
  await page.keyboard.press("Control+z");
  await expect(rows).toHaveCount(0);
});

test("facets are added one after the other, by name and Enter, until one is done", async ({ page }) => {
  const bench = await openBench(page, true);
  await page.getByRole("button", { name: "Facet or piece" }).click();
  const search = page.getByRole("searchbox", { name: "Search the fields" });
  for (const name of ["light", "in flow", "headng"]) {
    await search.fill(name);
    await search.press("Enter");
    await expect(search).toHaveValue("");
  }
  const light = page.getByRole("dialog").getByRole("button", { name: /^Light/ });
  await expect(light).toHaveAttribute("aria-pressed", "true");
  await expectAccessible(page);
  await light.click();
  await expect(light).toHaveAttribute("aria-pressed", "false");
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await expect(page.getByRole("list", { name: "Rows of the panel" }).locator("> li")).toHaveCount(2);
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(1);
  // A page by its name: what only holds the letters somewhere is not meant.
  await page.getByRole("button", { name: /^Page shown/ }).click();
  await page.getByPlaceholder("Find a page").fill("gfts");
  await expect(page.getByRole("dialog").getByRole("option").first()).toContainText("Gifts");
});

test("settings hold on their band, say that they are set, and go back", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("In flower");
  await bench.choose("In flower", "wide", "Check boxes");
  await page.getByRole("button", { name: "Settings of In flower" }).click();
  const list = bench.wide.locator(".zt-options");
  await expect(list.locator("li")).toHaveCount(8);

  await page.getByRole("spinbutton", { name: "Fold after of In flower on wide" }).fill("3");
  await page.getByRole("spinbutton", { name: "Fold after of In flower on wide" }).press("Enter");
  await expect(list.locator("li")).toHaveCount(3);
  await expect(bench.wide.getByRole("button", { name: "Show all 8" })).toBeVisible();
  await page.getByRole("spinbutton", { name: "Fold after of In flower on slim" }).fill("0");
  await page.getByRole("spinbutton", { name: "Fold after of In flower on slim" }).press("Enter");
  await page.getByRole("button", { name: "Open drawer" }).click();
  await expect(bench.phone.locator(".zt-options li")).toHaveCount(8);
  // Its natural order was suggested, and is no default either.
  await expect(page.getByText("2 changed", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Fold after of In flower on slim: use the wider band’s" }).click();
  await expect(bench.phone.locator(".zt-options li")).toHaveCount(3);
  await page.getByRole("button", { name: "Fold after of In flower: back to its default" }).click();
  await expect(list.locator("li")).toHaveCount(8);
  await expect(page.getByText("1 changed", { exact: true })).toBeVisible();

  // A title that is not shown, a hint, columns, a height limit, a search inside, an own clear.
  await page.getByRole("switch", { name: "Search inside of In flower on wide" }).check();
  await bench.wide.getByRole("searchbox", { name: "Find in In flower" }).fill("sept");
  await expect(list.locator("li")).toHaveText([/^September/]);
  await bench.wide.getByRole("searchbox", { name: "Find in In flower" }).fill("");
  await page.getByRole("spinbutton", { name: "Height limit of In flower on wide" }).fill("100");
  await page.getByRole("spinbutton", { name: "Height limit of In flower on wide" }).press("Enter");
  await expect.poll(() => list.evaluate((one) => one.clientHeight)).toBe(100);
  await page.getByRole("textbox", { name: "Hint of In flower" }).fill("When most of it blooms");
  await page.getByRole("textbox", { name: "Hint of In flower" }).press("Enter");
  await bench.wide.getByRole("button", { name: "In flower" }).focus();
  await expect(bench.wide.getByRole("tooltip")).toBeVisible();
  await page.getByRole("switch", { name: "Clear link of In flower" }).check();
  await bench.wide.getByRole("checkbox", { name: /^June/ }).check();
  await bench.wide.getByRole("button", { name: "Clear In flower" }).click();
  await expect(bench.wide.getByRole("status")).toHaveText("240 products");
  await page.getByRole("switch", { name: "Title of In flower" }).uncheck();
  await expect(bench.wide.locator(".zt-title")).toHaveCount(0);
  await expect(bench.wide.getByRole("group", { name: "In flower" })).toBeVisible();
  await expectAccessible(page);
});

test("options are left out, renamed, merged and moved by hand, and every count stays exact", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("Light");
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("tab", { name: "options" }).click();
  const names = () => bench.wide.locator(".zt-options .zt-name").allTextContents();
  await expect.poll(names).toEqual(["Full sun", "Shade", "Half shade"]);

  await page.getByRole("textbox", { name: "Name of Full sun" }).fill("☀ Sunny");
  await page.getByRole("textbox", { name: "Name of Full sun" }).press("Enter");
  await expect.poll(names).toEqual(["☀ Sunny", "Shade", "Half shade"]);
  await page.getByRole("checkbox", { name: "Show Half shade" }).uncheck();
  await expect.poll(names).toEqual(["☀ Sunny", "Shade"]);
  await page.getByRole("checkbox", { name: "Show Half shade" }).check();

  await page.getByRole("button", { name: "Select Shade to merge" }).click();
  await page.getByRole("button", { name: "Select Half shade to merge" }).click();
  await page.getByRole("button", { name: "Merge 2 into “Shade”" }).click();
  await expect.poll(names).toEqual(["Shade", "☀ Sunny"]);
  await expect(page.getByText("= Shade, Half shade")).toBeVisible();
  const box = bench.wide.getByRole("checkbox", { name: /^Shade/ });
  const told = (await box.locator("..").locator(".zt-count").textContent())?.match(/^\d+/)?.[0];
  await box.check();
  await expect(bench.wide.getByRole("status")).toHaveText(`${told} products of 240`);
  // 77 state shade and 74 half shade; some state both.
  expect(Number(told)).toBeGreaterThan(77);
  expect(Number(told)).toBeLessThan(77 + 74);
  await box.uncheck();

  await page.getByRole("button", { name: "Move ☀ Sunny" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByText("☀ Sunny is picked up, now at position 2 of 2.")).toBeAttached();
  // A key that comes while the list is measured anew is passed over, as it is for people; they press again.
  await expect(async () => {
    await page.keyboard.press("ArrowUp");
    await expect(page.getByText("☀ Sunny is picked up, now at position 1 of 2.")).toBeAttached({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press("Space");
  await expect.poll(names).toEqual(["☀ Sunny", "Shade"]);
  await page.getByRole("button", { name: "Unmerge Shade" }).click();
  await expect.poll(names).toEqual(["☀ Sunny", "Shade", "Half shade"]);
  await expectAccessible(page);

  // Another language on both pages.
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  await page.getByRole("textbox", { name: "Further languages" }).fill("de not_a_tag");
  await page.getByRole("textbox", { name: "Further languages" }).press("Enter");
  await expect(page.getByText("“not_a_tag” is not a language tag")).toBeVisible();
  await page.getByRole("textbox", { name: "Further languages" }).fill("de");
  await page.getByRole("textbox", { name: "Further languages" }).press("Enter");
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("textbox", { name: "Label of Light in de" }).fill("Licht");
  await page.getByRole("textbox", { name: "Label of Light in de" }).press("Enter");
  await page.getByRole("tab", { name: "options" }).click();
  await page.getByRole("combobox", { name: "Language of the labels" }).selectOption("de");
  await page.getByRole("textbox", { name: "Name of Shade" }).fill("Schatten");
  await page.getByRole("textbox", { name: "Name of Shade" }).press("Enter");
  await page.getByRole("combobox", { name: "Language of the pages" }).selectOption("de");
  await expect(bench.wide.locator(".zt-title")).toHaveText("Licht");
  await expect.poll(names).toEqual(["☀ Sunny", "Schatten", "Half shade"]);
});

test("pieces are set and stand on the page; what could run is not taken", async ({ page }) => {
  const bench = await openBench(page, true);
  await page.getByRole("button", { name: "Facet or piece" }).click();
  const add = (name: string) => page.getByRole("dialog").getByRole("button", { name, exact: true }).click();
  for (const name of [
    "Heading",
    "Text",
    "Picture",
    "Links: Brand",
    "Divider",
    "Result count",
    "Clear all",
    "Search field",
    "Chosen filters",
  ])
    await add(name);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await expect(bench.wide.locator(".zt-piece")).toHaveCount(9);
  await expect(bench.wide.locator("hr")).toHaveCount(1);

  const label = page.getByRole("textbox", { name: "Label of Find your way" });
  await label.fill("What will you grow?");
  await label.press("Enter");
  await expect(bench.wide.getByRole("heading", { name: "What will you grow?", level: 3 })).toBeVisible();
  await page.getByRole("button", { name: "Settings of What will you grow?" }).click();
  await page.getByRole("radiogroup").getByText("2", { exact: true }).click();
  await expect(bench.wide.getByRole("heading", { name: "What will you grow?", level: 2 })).toBeVisible();

  await page.getByRole("button", { name: "Settings of Text" }).click();
  const text = page.getByRole("textbox", { name: "Text of Text" });
  await text.press("Control+a");
  await page.keyboard.type("Tie it in early. ");
  await page.getByRole("button", { name: "Bold" }).click();
  await page.keyboard.type("Water it well.");
  await text.blur();
  await expect(bench.wide.locator(".zt-text strong")).toHaveText("Water it well.");
  await text.focus();
  await text.evaluate((box) => {
    const data = new DataTransfer();
    data.setData(
      "text/html",
      '<p>Pasted <img src=x onerror="window.ran=1"><a href="javascript:window.ran=1">link</a></p>',
    );
    box.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true }));
  });
  await text.blur();
  await expect(bench.wide.locator(".zt-text")).toContainText("Pasted");
  expect(await bench.wide.locator(".zt-text img, .zt-text [href^=javascript]").count()).toBe(0);

  await page.getByRole("button", { name: "Settings of Picture" }).click();
  const address = page.getByRole("textbox", { name: "Address of Picture" });
  await address.fill("javascript:window.ran=1");
  await address.press("Enter");
  expect(await address.evaluate((field: HTMLInputElement) => field.validationMessage)).toContain(
    "must begin with https://",
  );
  await expect(bench.wide.locator(".zt-image")).toHaveCount(0);
  await address.fill("/demo/pictures/LM001.svg");
  await address.press("Enter");
  await expect(bench.wide.locator(".zt-image")).toHaveAttribute("src", "/demo/pictures/LM001.svg");
  await page.getByRole("textbox", { name: "Where Picture leads to" }).fill("?light=shade");
  await page.getByRole("textbox", { name: "Where Picture leads to" }).press("Enter");
  await expect(bench.wide.locator("a:has(.zt-image)")).toHaveAttribute("href", "?light=shade");

  await page.getByRole("button", { name: "Settings of Links: Brand" }).click();
  await expect(bench.wide.locator(".zt-links a")).toHaveCount(6);
  await page.getByRole("combobox", { name: "Links of Links: Brand" }).selectOption("picked");
  await page.getByRole("list", { name: "Values of Links: Brand" }).getByRole("checkbox").first().uncheck();
  await expect(bench.wide.locator(".zt-links a")).toHaveCount(5);
  const told = await bench.wide.locator(".zt-links .zt-count").first().textContent();
  await bench.wide.locator(".zt-links a").first().click();
  await expect(bench.wide.locator(".zt-total").last()).toHaveText(`${told?.trim()} products of 240`);
  await bench.wide.locator("[data-piece=clear]").getByRole("button", { name: "Clear all" }).click();
  await expect(bench.wide.locator(".zt-total").last()).toHaveText("240 products");
  for (const frame of page.frames()) expect(await frame.evaluate(() => "ran" in window)).toBe(false);
  await expectAccessible(page);
  await bench.saved();
});

test("several rows are changed together, rows and panels duplicated, settings copied, and history leads back", async ({
  page,
}) => {
  const bench = await openBench(page, true);
  for (const name of ["Light", "Brand", "Hardiness"]) await bench.addFacet(name);
  for (const name of ["Light", "Brand"])
    await page.getByRole("button", { name: `Move ${name}`, exact: true }).click({ modifiers: ["Control"] });
  await expect(page.getByText("2 rows chosen")).toBeVisible();
  await page.getByRole("combobox", { name: "Width" }).selectOption("½");
  await expect(bench.wide.locator('[data-share="half"]')).toHaveCount(2);
  const [first, second] = [
    await bench.wide.locator('[data-row="f-light"]').boundingBox(),
    await bench.wide.locator('[data-row="f-brand"]').boundingBox(),
  ];
  expect(first?.y).toBe(second?.y);
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("radiogroup", { name: "At first" }).getByText("folded").click();
  await expect(bench.wide.locator(".zt-fold[aria-expanded=false]")).toHaveCount(2);
  // A display of one of them is that of both.
  await page.getByRole("button", { name: /^Light on wide/ }).click();
  await page.getByRole("button", { name: /^Tags in a row/ }).click();
  await expect(bench.wide.locator(".zt-tags")).toHaveCount(2);
  await page.keyboard.press("Control+z");
  await expect(bench.wide.locator(".zt-tags")).toHaveCount(0);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await bench.menu("Light", "Copy settings to all facets");
  await expect(bench.wide.locator(".zt-fold[aria-expanded=false]")).toHaveCount(3);

  await bench.menu("Light", "Duplicate");
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(4);
  await page.getByRole("button", { name: "History" }).click();
  const steps = page.getByRole("list", { name: "Steps" });
  await expect(steps.getByRole("button").first()).toHaveText("Duplicate Light");
  await steps.getByRole("button", { name: "Add Hardiness" }).click();
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(3);
  await expect(bench.wide.locator(".zt-fold[aria-expanded=true]")).toHaveCount(3);
  await steps.getByRole("button", { name: /^Duplicate Light/ }).click();
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(4);
  await page.keyboard.press("Escape");

  await bench.saved();
  await page.getByRole("button", { name: /^More for panel Trial/ }).click();
  await page.getByRole("button", { name: "Duplicate", exact: true }).click();
  await expect(page).toHaveURL(/copy/);
  await expect(page.getByRole("button", { name: /^More for panel .* copy$/ })).toBeVisible();
  await expect(page.getByRole("list", { name: "Rows of the panel" }).locator("> li")).toHaveCount(4);
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Help" })).toContainText("Every action, by name");
  await expectAccessible(page);
});

test("findings tell what is wrong with its number, and one step mends it", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("Brand");
  await bench.choose("Brand", "wide", "Check boxes");
  await page.getByRole("button", { name: "Settings of Brand" }).click();
  await page.getByRole("radiogroup", { name: "Combine choices" }).getByText("all of").click();
  await page.getByRole("button", { name: /findings?$/ }).click();
  const findings = page.getByRole("dialog", { name: "Findings" });
  await expect(findings).toContainText(
    "Brand needs all chosen options to match, but 15 of 15 pairs of its most common options have no products.",
  );
  await expect(findings).toContainText("148 of 799 variants are sold out");
  await expectAccessible(page);
  await findings.getByRole("button", { name: "Change to “any of”" }).click();
  await expect(findings).not.toContainText("Brand wants");
  await findings.getByRole("button", { name: "Add availability" }).click();
  await expect(findings).toContainText("No problems found.");
  await expect(bench.wide.locator('[data-row="f-availability"]')).toHaveCount(1);
  await page.keyboard.press("Escape");

  await page.getByRole("button", { name: /lowest reach/ }).click();
  await expect(page.getByRole("row", { name: /^Brand/ })).toContainText("240, 100%");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^panel \d+ px/ }).click();
  const heights = page.getByRole("dialog", { name: "Row heights" });
  // The table agrees with the page: wide as shown, slim in its closed drawer, medium out of sight.
  const real = await bench.wide
    .locator('[data-row="f-brand"]')
    .evaluate((row) => Math.round(row.getBoundingClientRect().height));
  await expect(heights.getByRole("row", { name: /^Brand/ })).toHaveText(new RegExp(`^Brand${real}\\d+\\d+$`));
  await expectAccessible(page);
});
