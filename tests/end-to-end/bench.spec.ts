import { expectAccessible } from "./axe.ts";
import { demoShop, drag, newShop, openBench } from "./bench.ts";
import { answered } from "./shop-page.ts";
import { expect, test } from "./test.ts";

test("a facet is built on the bench, works in both frames, and is there after a reload", async ({ page }) => {
  const bench = await openBench(page);
  await bench.addFacet("Hardiness");
  for (const frame of [bench.wide, bench.phone]) await expect(frame.locator('[data-row="f-hardiness"]')).toHaveCount(1);

  // Chosen in the wide frame, it holds in the phone too.
  await bench.wide.getByRole("checkbox", { name: /H4 hardy/ }).check();
  await answered(bench.wide);
  const total = (await bench.wide.getByRole("status").textContent()) ?? "";
  expect(total).toMatch(/^\d+ products of 240$/);
  await expect(bench.phone.getByRole("status")).toHaveText(total);
  await expect(page.getByLabel("Numbers of the page")).toContainText(
    total.replace(/ products of (\d+)/, " of $1 found"),
  );
  // And the other way round.
  await page.getByRole("button", { name: "Open drawer" }).click();
  await bench.phone.getByRole("button", { name: "Clear all" }).click();
  await expect(bench.wide.getByRole("status")).toHaveText("240 products");

  await bench.saved();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Label of Hardiness" })).toBeVisible();
  await expect(bench.wide.locator('[data-row="f-hardiness"]')).toHaveCount(1);
});

test("a panel of check boxes, swatches, a dropdown and a slider grows from nothing without a reload of the frames", async ({
  page,
}) => {
  const bench = await openBench(page, true);
  await expect(page.getByText("This panel is empty")).toBeVisible();
  // A mark in the frame's own window would be gone after a reload.
  await bench.wide.locator("html").evaluate(() => Object.assign(window, { stillHere: true }));
  await bench.addFacet("Light");
  await bench.addFacet("Flower colour");
  await bench.addFacet("Brand");
  await bench.addFacet("Price");
  await bench.choose("Brand", "wide", "Dropdown");

  await expect(bench.wide.locator(".zt-boxes input[name=light]")).toHaveCount(3);
  await expect(bench.wide.locator(".zt-swatches")).toBeVisible();
  await expect(bench.wide.locator("details.zt-many")).toBeVisible();
  await expect(bench.wide.getByRole("slider", { name: "Price, minimum" })).toHaveAttribute("aria-valuetext", "€2");
  expect(await bench.wide.locator("html").evaluate(() => "stillHere" in window)).toBe(true);

  // Another display on slim alone; wide keeps its own, and slim can follow again.
  await bench.choose("Light", "slim", "Tiles");
  await expect(bench.phone.locator(".zt-tiles input[name=light]")).toHaveCount(3);
  await expect(bench.wide.locator(".zt-boxes input[name=light]")).toHaveCount(3);
  await page.getByRole("button", { name: "Light on slim: Tiles" }).click();
  await page.getByRole("button", { name: "Use the wider band’s" }).click();
  await expect(bench.phone.locator(".zt-boxes input[name=light]")).toHaveCount(3);
});

test("settings of a row change both frames, and any-of and all-of tell their result counts first", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("In flower");
  await page.getByRole("button", { name: "Settings of In flower" }).click();
  const any = page.getByRole("radio", { name: /any of/ });
  const all = page.getByRole("radio", { name: /all of/ });
  const numberOf = async (radio: typeof any) => Number((await radio.locator("..").textContent())?.match(/\d+$/)?.[0]);
  const [anyCount, allCount] = [await numberOf(any), await numberOf(all)];
  expect(anyCount).toBeGreaterThan(allCount);

  const hint = (await page.getByText(/^Products for .* chosen together$/).textContent()) ?? "";
  const [, first, second] = hint.match(/^Products for (.*) and (.*) chosen together$/) ?? [];
  await bench.wide.getByRole("checkbox", { name: new RegExp(`^${first}`) }).check();
  await bench.wide.getByRole("checkbox", { name: new RegExp(`^${second}`) }).check();
  await expect(bench.wide.getByRole("status")).toHaveText(`${anyCount} products of 240`);
  await page.getByText(/^all of/).click();
  await expect(bench.wide.getByRole("status")).toHaveText(`${allCount} products of 240`);
  await expect(bench.phone.getByRole("status")).toHaveText(`${allCount} products of 240`);

  await page.getByText("folded", { exact: true }).click();
  await expect(bench.wide.getByRole("button", { name: "In flower" })).toHaveAttribute("aria-expanded", "false");
});

test("the panel is placed by band, and the limits are moved on the ruler", async ({ page }) => {
  const bench = await openBench(page, true, await newShop(page.request, "Ruled"));
  await bench.addFacet("Light");
  const place = async (band: string, words: string) => {
    await page.getByRole("button", { name: new RegExp(`^The panel on ${band}`) }).click();
    await page.getByRole("dialog").getByRole("button", { name: words }).click();
  };
  for (const [words, placement] of [
    ["Right of the products", "right"],
    ["Above the products", "above"],
    ["In the header of the shop", "header"],
    ["In a drawer, behind a button", "drawer"],
    ["Folded, behind a button", "folded"],
    ["Left of the products", "left"],
  ]) {
    await place("wide", words);
    await expect(bench.wide.locator("[data-placement]")).toHaveAttribute("data-placement", placement);
  }
  await place("wide", "Hidden on this band");
  await expect(bench.wide.locator(".zt-panel")).toHaveCount(0);
  await place("wide", "Left of the products");
  await place("slim", "Above the products");
  await expect(bench.phone.locator("[data-placement]")).toHaveAttribute("data-placement", "above");

  const limit = page.getByRole("slider", { name: "Wide begins at" });
  await limit.focus();
  for (let i = 0; i < 3; i++) await limit.press("PageUp");
  await expect(limit).toHaveAttribute("aria-valuenow", "1300");
  await expect(page.getByText("Medium · 1280 px")).toBeVisible();
  // The page itself is on another band too, by its style sheet and by its script.
  await expect(bench.wide.locator(".zs-layout")).toHaveCSS("gap", "24px");
  // A drag is one step back, not one for every move.
  await page.getByRole("button", { name: "Undo: Move a band limit" }).click();
  await expect(bench.wide.locator(".zs-layout")).toHaveCSS("gap", "36px");
});

test("rows are renamed, moved by mouse and removed, and every step can be undone", async ({ page }) => {
  const bench = await openBench(page, true);
  for (const name of ["Light", "Brand", "Hardiness"]) await bench.addFacet(name);
  const titles = () => bench.wide.locator(".zt-title").allTextContents();
  await expect.poll(titles).toEqual(["Light", "Brand", "Hardiness"]);

  const [hardiness, light] = ["Hardiness", "Light"].map((name) =>
    page.getByRole("button", { name: `Move ${name}`, exact: true }),
  );
  await drag(page, hardiness, light, ({ x, y }) => ({ x: x + 8, y: y + 4 }));
  await expect.poll(titles).toEqual(["Hardiness", "Light", "Brand"]);

  const label = page.getByRole("textbox", { name: "Label of Light" });
  await label.fill("How much sun");
  await label.press("Enter");
  await expect.poll(titles).toEqual(["Hardiness", "How much sun", "Brand"]);
  await bench.menu("Brand", "Remove");
  await expect.poll(titles).toEqual(["Hardiness", "How much sun"]);

  for (let i = 0; i < 3; i++) await page.keyboard.press("Control+z");
  await expect.poll(titles).toEqual(["Light", "Brand", "Hardiness"]);
  await page.getByRole("button", { name: "Redo: Move Hardiness" }).click();
  await expect.poll(titles).toEqual(["Hardiness", "Light", "Brand"]);
});

test("pointing at a row marks it on the page, and pointing at the page marks the row", async ({ page }) => {
  const bench = await openBench(page);
  await page.locator('li[data-row="f-light"]').hover();
  await expect(bench.wide.locator('[data-row="f-light"][data-marked]')).toHaveCount(1);
  await bench.wide.locator('[data-row="f-pot-size"]').hover();
  await expect(page.locator('li[data-row="f-pot-size"]')).toHaveClass(/bg-accent/);
});

test("a second tab cannot overwrite silently", async ({ page, context }) => {
  const mine = await openBench(page, true);
  await mine.addFacet("Light");
  await mine.saved();
  const other = await context.newPage();
  await other.goto(page.url());
  const rename = async (tab: typeof page, to: string) => {
    const label = tab.getByRole("textbox", { name: "Label of Light" });
    await label.fill(to);
    await label.press("Enter");
  };
  await expect(other.getByRole("textbox", { name: "Label of Light" })).toBeVisible();
  await rename(other, "Theirs");
  await expect(other.locator("header").getByRole("status")).toHaveText("Saved");

  await rename(page, "Mine");
  await expect(page.getByRole("alert")).toContainText("changed in another tab");
  const stored = async () =>
    (await (await page.request.get(`/api/shops/${demoShop}/documents/panel/${mine.slug}`)).json()).document.rows[0]
      .label;
  expect(await stored()).toBe("Theirs");

  await page.getByRole("button", { name: "Use the other version" }).click();
  await expect(mine.wide.locator(".zt-title")).toHaveText("Theirs");
  // Taking it is a step like any other.
  await page.getByRole("button", { name: "Undo: Use the other version" }).click();
  await expect(mine.wide.locator(".zt-title")).toHaveText("Mine");
  await expect.poll(stored).toBe("Mine");
});

test("a server that is away is said, and what was done meanwhile is saved when it is back", async ({
  page,
  context,
}) => {
  const bench = await openBench(page, true);
  await context.setOffline(true);
  await bench.addFacet("Light");
  await expect(page.locator("header").getByRole("status")).toContainText("Not saved");
  await context.setOffline(false);
  await bench.saved();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Label of Light" })).toBeVisible();
});

test("once through with the keyboard only", async ({ page }) => {
  const bench = await openBench(page, true);
  // Add two facets by name.
  for (const name of ["Add Light", "Add Brand"]) {
    await page.keyboard.press("Control+k");
    await page.getByPlaceholder("What do you want to do?").pressSequentially(name);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  const titles = () => bench.wide.locator(".zt-title").allTextContents();
  await expect.poll(titles).toEqual(["Light", "Brand"]);

  // Move the second above the first with the handle.
  await page.getByRole("button", { name: "Move Brand", exact: true }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByText("Brand is picked up, now at position 2 of 2.")).toBeAttached();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("Brand is picked up, now at position 1 of 2.")).toBeAttached();
  await page.keyboard.press("Space");
  await expect.poll(titles).toEqual(["Brand", "Light"]);

  // Open the cell's card and take another display.
  await page.getByRole("button", { name: "Brand on wide: Check boxes" }).focus();
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: /^Tiles/ }).focus();
  await page.keyboard.press("Enter");
  await expect(bench.wide.locator(".zt-tiles")).toBeVisible();

  // Settings with the arrow keys.
  await page.getByRole("button", { name: "Settings of Brand" }).focus();
  await page.keyboard.press("Enter");
  await page.getByRole("radio", { name: "live" }).focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect(bench.wide.locator(".zt-tiles .zt-count")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(bench.wide.locator(".zt-tiles .zt-count").first()).toBeVisible();
});

test("axe finds nothing serious on the bench, with a card and settings open", async ({ page }) => {
  await openBench(page);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("button", { name: /^Light on wide/ }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  await expectAccessible(page);
});

test("an unknown shop or view is a page that says so", async ({ page }) => {
  for (const [address, words] of [
    ["/shops/no-such-shop/panels", "There is no shop at “no-such-shop”"],
    ["/no/such/view", "Go to all shops and start from there."],
    ["/draft/no-such-shop/", "There is no shop at “no-such-shop”"],
    [`/draft/${demoShop}/?panel=none`, "There is no panel at “none”"],
  ]) {
    await page.goto(address);
    await expect(page.getByText(words)).toBeVisible();
    await page.getByRole("link", { name: "All shops" }).click();
    await expect(page.getByRole("heading", { name: "Your shops" })).toBeVisible();
  }
});
