import { expectAccessible } from "./axe.ts";
import { demoShop, origin } from "./bench.ts";
import { answered, awake } from "./shop-page.ts";
import { devices, expect, type Page, test } from "./test.ts";
import { textOf } from "./text-of.ts";

const shop = `/draft/${demoShop}/?panel=climber-finder`;

async function open(page: Page, address = shop): Promise<void> {
  await page.goto(address);
  await awake(page);
}

const total = (page: Page) => page.getByRole("status");

test("every count is what the shopper then gets", async ({ page }) => {
  await open(page);
  for (const name of [/^Half shade/, /^Full sun/, /^Shade/]) {
    const box = page.getByRole("checkbox", { name });
    const told = Number((await box.locator("..").locator(".zt-count").textContent())?.match(/^\d+/)?.[0]);
    await box.check();
    await expect(total(page)).toHaveText(`${told} products of 240`);
    await box.uncheck();
  }
  await expect(total(page)).toHaveText("240 products");
});

test("the address bar holds what is chosen: back, reload and a shared link work", async ({ page, context }) => {
  await open(page);
  await page.getByRole("checkbox", { name: /^Half shade/ }).check();
  await page.getByRole("checkbox", { name: /^Apricot/ }).check();
  await page.getByRole("textbox", { name: "Price to" }).fill("20");
  await page.getByRole("textbox", { name: "Price to" }).press("Enter");
  await expect(page).toHaveURL(/flower-colour=apricot/);
  await expect(page).toHaveURL(/light=half\+shade/);
  await expect(page).toHaveURL(/price\.max=20/);
  await expect(total(page)).toHaveText("2 products of 240");
  const told = await total(page).textContent();

  await page.reload();
  await expect(total(page)).toHaveText(told ?? "");
  await expect(page.getByRole("checkbox", { name: /^Apricot/ })).toBeChecked();
  const shared = await context.newPage();
  await open(shared, page.url());
  await expect(total(shared)).toHaveText(told ?? "");

  await page.goBack();
  await expect(page).not.toHaveURL(/price/);
  await page.goBack();
  await expect(page.getByRole("checkbox", { name: /^Apricot/ })).not.toBeChecked();
  await expect(page.getByRole("checkbox", { name: /^Half shade/ })).toBeChecked();
});

test("a handle that is dragged, or moved by a held key, is one step back", async ({ page }) => {
  await open(page);
  await page.getByRole("checkbox", { name: /^Half shade/ }).check();
  await expect(page).toHaveURL(/light=half\+shade/);
  await answered(page);
  const handle = page.getByRole("slider").first();
  await handle.scrollIntoViewIfNeeded();
  const box = await handle.boundingBox();
  if (!box) throw new Error("There is no slider.");
  const [x, y] = [box.x + box.height / 2, box.y + box.height / 2];
  const start = await handle.inputValue();
  // The last of its places is in the address.
  const written = () => expect.poll(async () => page.url().endsWith(`.min=${await handle.inputValue()}`)).toBe(true);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 60, y, { steps: 12 });
  await page.mouse.up();
  await written();
  await page.goBack();
  await expect(page).not.toHaveURL(/\.min=/);
  await expect(handle).toHaveValue(start);
  await expect(page.getByRole("checkbox", { name: /^Half shade/ })).toBeChecked();
  await handle.focus();
  for (let n = 0; n < 12; n++) await page.keyboard.press("ArrowRight");
  await written();
  await page.goBack();
  await expect(page).not.toHaveURL(/\.min=/);
  await expect(page).toHaveURL(/light=half\+shade/);
});

test("chips take one choice back, and clear all takes everything back", async ({ page }) => {
  await open(page, `${shop}&light=half+shade&flower-colour=apricot&flower-colour=orange`);
  const three = await textOf(total(page));
  await page.getByRole("button", { name: "Remove Flower colour: Apricot" }).click();
  await expect(total(page)).not.toHaveText(three);
  await expect(page.getByRole("checkbox", { name: /^Apricot/ })).not.toBeChecked();
  await page.getByRole("button", { name: "Clear all" }).click();
  await expect(total(page)).toHaveText("240 products");
  await expect(page.getByText("Nothing chosen yet")).toBeVisible();
});

test("the tree, the slider and folding work with mouse and keyboard", async ({ page }) => {
  await open(page);
  const item = (name: RegExp) => page.getByRole("treeitem", { name });
  await page.locator('[data-node="plants"] .zt-twig').click();
  await page.locator('[data-node="plants > climbers"] input').check();
  await expect(total(page)).toHaveText("107 products of 240");
  // A category takes the place of the one above it.
  await item(/^Climbers/).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("w");
  await expect(item(/^Wisteria/)).toBeFocused();
  await page.keyboard.press("Space");
  await expect(total(page)).toHaveText("12 products of 240");
  await expect(item(/^Climbers/)).toHaveAttribute("aria-checked", "false");
  await expect(item(/^Wisteria/)).toHaveAttribute("aria-checked", "true");

  const most = page.getByRole("slider", { name: "Price, maximum" });
  await most.focus();
  await most.press("Home");
  await expect(total(page)).toHaveText("0 products of 240");
  await expect(page.getByText("No products match these filters")).toBeVisible();
  await page
    .locator(".zs-nothing")
    .getByRole("button", { name: /^Without up to €2.* 12 products$/ })
    .click();
  await expect(total(page)).toHaveText("12 products of 240");

  const fold = page.getByRole("button", { name: "Light", exact: true });
  await fold.press("Enter");
  await expect(page.getByRole("checkbox", { name: /^Half shade/ })).toBeHidden();
  await fold.press("Enter");
  await expect(page.getByRole("checkbox", { name: /^Half shade/ })).toBeVisible();
});

test("the search field finds by words, marks what it did as a chip, and stands in the address", async ({
  page,
  request,
}) => {
  const panels = `/api/shops/${demoShop}/documents/panel`;
  const { slug } = await (await request.post(panels, { data: { name: "With a search" }, headers: origin })).json();
  const { version, document } = await (await request.get(`${panels}/${slug}`)).json();
  const rows = ["search", "chosen"].map((piece) => ({ kind: "piece", id: piece, piece, label: "" }));
  await request.put(`${panels}/${slug}`, { data: { version, document: { ...document, rows } }, headers: origin });
  await open(page, `/draft/${demoShop}/?panel=${slug}`);
  await page.getByRole("searchbox", { name: "Search", exact: true }).fill("ROSE climb");
  await expect(total(page)).toHaveText("24 products of 240");
  await expect(page).toHaveURL(/q=ROSE\+climb/);
  await page.getByRole("button", { name: "Remove Search: “ROSE climb”" }).click();
  await expect(page.getByRole("searchbox", { name: "Search", exact: true })).toHaveValue("");
  await expect(total(page)).toHaveText("240 products");
});

test("options that lead nowhere are faded and cannot be chosen", async ({ page }) => {
  await open(page);
  const pots = page.locator('[data-node="pots"] input');
  await pots.check();
  const swatch = page.getByRole("checkbox", { name: /^Apricot/ });
  await expect(swatch).toBeDisabled();
  await pots.uncheck();
  await expect(swatch).toBeEnabled();
});

test("sorting and pages follow the address bar", async ({ page }) => {
  await open(page);
  await page.getByRole("combobox", { name: "Sort by" }).selectOption("Price, high to low");
  const prices = async () =>
    (await page.locator(".zs-price").allTextContents()).map((text) => Number(text.match(/€([\d.]+)/)?.[1]));
  const isFalling = (all: readonly number[]) => all.every((price, at) => at === 0 || price <= (all[at - 1] ?? 0));
  // A product with several prices stands where its highest does, and that is the one that is told.
  await expect.poll(async () => isFalling(await prices())).toBe(true);
  const falling = await prices();
  expect(falling).toHaveLength(24);
  await page.getByRole("link", { name: "Page 2", exact: true }).click();
  await expect(page).toHaveURL(/page=2/);
  await expect.poll(async () => Math.max(...(await prices()))).toBeLessThanOrEqual(Math.min(...falling));
  await page.goBack();
  await expect(page.getByRole("link", { name: "Page 1", exact: true })).toHaveAttribute("aria-current", "page");
  await open(page, `${shop}&page=999`);
  await expect(page.getByRole("link", { name: "Page 10", exact: true })).toHaveAttribute("aria-current", "page");
});

// Source: the browser's own layout-shift entries, those behind an input among them.
test("a click on an option moves nothing", async ({ page }) => {
  await page.addInitScript(() => {
    const shifts: number[] = [];
    Object.assign(window, { shifts });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) shifts.push((entry as unknown as { value: number }).value);
    }).observe({ type: "layout-shift", buffered: true });
  });
  await open(page);
  const shifts = () =>
    page.evaluate(() => (window as unknown as { shifts: number[] }).shifts.reduce((sum, one) => sum + one, 0));
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(300);
  const before = await shifts();
  for (const value of ["half shade", "apricot", "seeds", "orange"]) {
    await page.locator(`.zt-panel input[value="${value}"]`).check();
    await page.waitForTimeout(200);
  }
  await page.getByRole("button", { name: "Clear all" }).click();
  await page.waitForTimeout(200);
  expect((await shifts()) - before).toBe(0);
  // The page as a whole, from the first paint of the server's markup on.
  expect(before).toBeLessThan(0.01);
});

test.describe("without scripts", () => {
  test.use({ javaScriptEnabled: false });
  test("the panel is a working form", async ({ page }) => {
    await page.goto(`${shop}&light=shade`);
    await expect(total(page)).toHaveText(/^\d+ products of 240$/);
    await page.getByRole("checkbox", { name: /^Apricot/ }).check();
    await page.getByRole("button", { name: "Show products" }).click();
    await expect(page).toHaveURL(/flower-colour=apricot/);
    await expect(page).toHaveURL(/light=shade/);
    await expect(page.getByRole("checkbox", { name: /^Apricot/ })).toBeChecked();
    expect(Number((await total(page).textContent())?.match(/^\d+/)?.[0])).toBeLessThan(20);
    // Open parts are not in the address.
    expect(page.url()).not.toMatch(/=(&|$)/);
  });

  test("on a phone the drawer opens and closes, and what shows the products is in reach", async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    // As shoppers get it: a draft says over the page what it is.
    await page.goto(`/shop/${demoShop}/?light=shade`);
    const drawer = page.getByRole("dialog", { name: "Filters" });
    await expect(drawer).toBeHidden();
    await page.getByRole("link", { name: /^Filters/ }).click();
    await expect(drawer).toBeVisible();
    await drawer.getByRole("link", { name: "Close filters" }).click();
    await expect(drawer).toBeHidden();
    await page.getByRole("link", { name: /^Filters/ }).click();
    await expect(drawer.getByRole("button", { name: "Show products" })).toBeInViewport();
    await drawer.getByRole("checkbox", { name: /^Half shade/ }).check();
    await drawer.getByRole("button", { name: "Show products" }).click();
    await expect(drawer).toBeHidden();
    await expect(total(page)).toHaveText(/^\d+ products? of 240$/);
    expect(page.url()).not.toMatch(/=(&|$)/);
  });
});

test.describe("on a phone", () => {
  const { viewport, userAgent, isMobile, hasTouch } = devices["Pixel 7"];
  test.use({ viewport: { width: 390, height: viewport.height }, userAgent, isMobile, hasTouch });

  test("the drawer keeps focus inside, closes on Escape and gives focus back", async ({ page }) => {
    await open(page);
    const button = page.getByRole("button", { name: /^Filters/ });
    await button.click();
    const drawer = page.getByRole("dialog", { name: "Filters" });
    await expect(drawer).toBeVisible();
    await expectAccessible(page);
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press("Tab");
      expect(
        await page.evaluate(
          () =>
            document.activeElement === document.body ||
            document.querySelector("dialog")?.contains(document.activeElement),
        ),
      ).toBe(true);
    }
    await page.keyboard.press("Escape");
    await expect(drawer).toBeHidden();
    await expect(button).toBeFocused();
  });

  test("going back closes the drawer first, keeps what was chosen in it, and then takes that back", async ({
    page,
  }) => {
    await page.goto("/");
    await open(page);
    const drawer = page.getByRole("dialog", { name: "Filters" });
    await page.getByRole("button", { name: /^Filters/ }).click();
    await expect(drawer).toBeVisible();
    await page.goBack();
    await expect(drawer).toBeHidden();
    await expect(page).toHaveURL(/\/draft\//);
    await page.getByRole("button", { name: /^Filters/ }).click();
    await page.locator(".zt-tiles input[value='half shade']").check();
    await expect(page).toHaveURL(/light=half/);
    await page.locator(".zt-tiles input[value='shade']").check();
    await expect(page).toHaveURL(/light=half.*light=shade/);
    await page.goBack();
    await expect(drawer).toBeHidden();
    await expect(page).toHaveURL(/light=half.*light=shade/);
    await expect(page.getByRole("button", { name: "Filters 2" })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole("button", { name: "Filters 1" })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole("button", { name: /^Filters$/ })).toBeVisible();
    // Closed by its own button it leaves no step behind.
    await page.getByRole("button", { name: /^Filters$/ }).click();
    await page.getByRole("button", { name: "Close filters" }).click();
    await expect(drawer).toBeHidden();
    await page.goBack();
    await expect(page).not.toHaveURL(/\/draft\//);
  });

  test("the drawer's button says how many products there are", async ({ page }) => {
    await open(page);
    await page.getByRole("button", { name: /^Filters/ }).click();
    await page.locator(".zt-tiles input[value='half shade']").check();
    const button = page.locator(".zt-drawer-foot .zt-apply");
    await expect(button).toHaveText(/^Show \d\d products$/);
    const told = await button.textContent();
    await page.getByRole("button", { name: told ?? "" }).click();
    await expect(page.getByRole("dialog")).toBeHidden();
    await expect(total(page)).toHaveText(`${told?.match(/\d+/)?.[0]} products of 240`);
    await expect(page.getByRole("button", { name: "Filters 1" })).toBeVisible();
  });
});

test("axe finds nothing serious on the shop page, at rest and filtered to nothing", async ({ page }) => {
  await open(page);
  await expectAccessible(page);
  await open(page, `${shop}&category=pots&light=shade&flower-colour=apricot`);
  await expect(page.getByText("No products match these filters")).toBeVisible();
  await expectAccessible(page);
});

test("a page answers before its catalogue is there, and counts by itself once it is", async ({ page }) => {
  const asked: string[] = [];
  page.on("request", (request) => {
    if (new URL(request.url()).pathname.endsWith("/ask")) asked.push(request.postData() ?? "");
  });
  let release = () => {};
  const held = new Promise<void>((done) => {
    release = done;
  });
  await page.route(/\/api\/shops\/[^/]+\/data/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(shop);
  await awake(page);
  // Waking asks nothing: the answer that the page was drawn from came with it.
  expect(asked).toEqual([]);
  const option = (name: string) => page.locator("label.zt-box").filter({ hasText: name }).first();
  const countOf = async (name: string) => (await option(name).locator(".zt-count").textContent())?.match(/\d+/)?.[0];
  const first = await countOf("Half shade");
  await option("Half shade").click();
  await expect(total(page)).toHaveText(`${first} products of 240`);
  expect(asked).toHaveLength(1);
  const came = page.waitForResponse(/\/api\/shops\/[^/]+\/data/);
  release();
  await came;
  await page.waitForTimeout(1000);
  await page.getByRole("button", { name: "Clear all" }).first().click();
  await expect(total(page)).toHaveText("240 products");
  const next = await countOf("Full sun");
  await option("Full sun").click();
  await expect(total(page)).toHaveText(`${next} products of 240`);
  expect(asked).toHaveLength(1);
});

test("what is called by its content is kept for a year, and all that shrinks comes packed", async ({ page }) => {
  const html = await (await page.request.get(shop)).text();
  const files = [...html.matchAll(/(?:src|href)="(\/storefront\/[^"]+)"/g)].map(([, path = ""]) =>
    path.replaceAll("&amp;", "&"),
  );
  expect(files.length).toBeGreaterThanOrEqual(3);
  for (const path of files) {
    const { headers, status } = await page.request
      .get(path, { headers: { "accept-encoding": "br" } })
      .then((answer) => ({ headers: answer.headers(), status: answer.status() }));
    expect([path, status, headers["cache-control"]]).toEqual([path, 200, "public, max-age=31536000, immutable"]);
    // Typefaces are packed in themselves.
    if (!path.endsWith(".woff2")) expect([path, headers["content-encoding"]]).toEqual([path, "br"]);
  }
  const [font] = html.match(/\/storefront\/fonts\/[^)"]+\.woff2/) ?? [];
  const { "cache-control": kept } = (await page.request.get(font ?? "")).headers();
  expect(kept).toContain("immutable");
});
