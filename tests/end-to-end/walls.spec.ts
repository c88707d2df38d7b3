import { demoShop, newShop, openBench, origin, saveShop } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

/** How far things have moved on a page by themselves since it was opened. Source: the browser's own layout-shift entries. */
const shift = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        let sum = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) sum += (entry as PerformanceEntry & { value: number }).value;
        }).observe({ type: "layout-shift", buffered: true });
        setTimeout(() => done(sum), 300);
      }),
  );

test("a page is right on every width before any script, whatever browser asks", async ({ browser }) => {
  for (const [width, height, placement] of [
    [1920, 1080, "left"],
    [1280, 800, "left"],
    [834, 1112, "left"],
    [390, 844, "drawer"],
  ] as const) {
    // The browser of a desktop: nothing in its request says how wide the page is.
    const context = await browser.newContext({ viewport: { width, height }, javaScriptEnabled: false });
    const asleep = await context.newPage();
    await asleep.goto(`/draft/${demoShop}/?panel=climber-finder`);
    const seen = () =>
      asleep
        .locator("[data-placement]:visible")
        .evaluateAll((all) => all.map((one) => one.getAttribute("data-placement")));
    if (placement === "left") expect(await seen()).toEqual(["left"]);
    else await asleep.getByRole("link", { name: "Filters" }).click();
    await expect(asleep.locator(".zt-panel:visible")).toHaveCount(1);
    await context.close();

    const woken = await browser.newPage({ viewport: { width, height } });
    await woken.goto(`/draft/${demoShop}/?panel=climber-finder`);
    await awake(woken);
    await expect(woken.locator(".zt-panel")).toHaveCount(1);
    expect(await shift(woken)).toBe(0);
    await woken.close();
  }
});

test("an address keeps all that it holds, in every language that the shop has", async ({ page }) => {
  const shop = await newShop(page.request, "Speaks German");
  await saveShop(page.request, shop, { languages: ["de"] });
  await page.goto(`/draft/${shop}/?panel=first-panel&lang=de&utm=x`);
  await awake(page);
  await expect(page.getByRole("status")).toHaveText("240 Produkte");
  await page.locator(".zt-panel input[type=checkbox]").first().click();
  await expect(page).toHaveURL(/\?panel=first-panel&lang=de&utm=x&\w/);
  await expect(page.getByRole("status")).toHaveText(/ von /);
  await page.getByRole("combobox", { name: "Sortieren nach" }).selectOption("Preis, absteigend");
  await expect(page).toHaveURL(/panel=first-panel&lang=de&utm=x&.*sort=-price/);
  const told = await page.getByRole("status").textContent();
  await page.reload();
  await expect(page.locator("html")).toHaveAttribute("lang", "de");
  await expect(page.getByRole("status")).toHaveText(told ?? "");
  expect(await page.locator(".zs-pages a").first().getAttribute("href")).toContain("lang=de");
});

test("a choice made before a page wakes is kept when it does", async ({ page }) => {
  let wake = () => {};
  const chosen = new Promise<void>((done) => {
    wake = done;
  });
  await page.route("**/storefront/page-*.js", async (route) => {
    await chosen;
    await route.continue();
  });
  await page.goto(`/draft/${demoShop}/?panel=climber-finder&price.max=30`, { waitUntil: "commit" });
  await page.getByRole("checkbox", { name: /^Half shade/ }).click();
  await expect(page.locator("html")).not.toHaveAttribute("data-ready");
  wake();
  await awake(page);
  await expect(page).toHaveURL(/light=half\+shade/);
  await expect(page).toHaveURL(/price\.max=30/);
  await expect(page.getByRole("checkbox", { name: /^Half shade/ })).toBeChecked();
});

test("when the shop does not answer, the page says so where the products are, keeps them, and tries again", async ({
  page,
}) => {
  // More variants than a page or a worker counts for itself, so that each question goes to the server.
  const rows = Array.from(
    { length: 150_200 },
    (_, i) => `v${i >> 3},Thing ${i >> 3},${["red", "blue", "green"][i % 3]},${i % 90}`,
  );
  const shop = await newShop(page.request, "Large", `product_id,title,colour,price\n${rows.join("\n")}\n`);
  await page.goto(`/draft/${shop}/`);
  await awake(page);
  const before = await page.getByRole("status").textContent();
  let away = true;
  await page.route("**/ask", (route) => (away ? route.abort() : route.continue()));
  await page.getByRole("checkbox", { name: /^red/ }).click();
  await expect(page.getByRole("alert")).toContainText("isn’t responding");
  await expect(page.getByRole("status")).toHaveText(before ?? "");
  await expect(page.locator(".zs-card")).toHaveCount(24);
  away = false;
  await expect(page.getByRole("alert")).toBeEmpty();
  await expect(page).toHaveURL(/colour=red/);
});

test("the tool's keys hold after a click on a page of the stage, and in every view", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("Light");
  await bench.addFacet("Brand");
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(2);
  await bench.wide.getByRole("checkbox", { name: /^Half shade/ }).click();
  await page.keyboard.press("Control+z");
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(1);
  await page.keyboard.press("Control+Shift+z");
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(2);
  await bench.phone.locator("h1").click();
  await page.keyboard.press("Control+k");
  await expect(page.getByRole("dialog", { name: "All actions" })).toBeVisible();
  for (const view of [
    "/",
    `/shops/${demoShop}/catalogue`,
    `/shops/${demoShop}/catalogue/products`,
    `/shops/${demoShop}/swatches`,
  ]) {
    await page.goto(view);
    await expect(page.getByRole("link", { name: "Zany Trellis" })).toBeVisible();
    await expect(page.locator("main")).toBeVisible();
    await page.keyboard.press("Control+k");
    await expect(page.getByRole("dialog", { name: "All actions" })).toBeVisible();
  }
});

test("undo and the history outlive a reload", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("Light");
  await bench.addFacet("Brand");
  await bench.saved();
  await page.reload();
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(2);
  await page.getByRole("button", { name: "Undo: Add Brand" }).click();
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(1);
  await bench.saved();
  await page.reload();
  await page.getByRole("button", { name: "Redo: Add Brand" }).click();
  await expect(bench.wide.locator(".zt-facet")).toHaveCount(2);
});

test("three quick clicks on a page of the stage are all there, on both", async ({ page }) => {
  const bench = await openBench(page, true);
  await bench.addFacet("Hardiness");
  const boxes = bench.wide.locator("input[name=hardiness]");
  await expect(boxes.nth(2)).toBeVisible();
  await bench.wide.locator("html").evaluate(async () => {
    for (const box of [...document.querySelectorAll<HTMLInputElement>("input[name=hardiness]")].slice(0, 3)) {
      box.click();
      await new Promise((done) => setTimeout(done, 30));
    }
  });
  for (const frame of [bench.wide, bench.phone])
    await expect(frame.locator("input[name=hardiness]:checked")).toHaveCount(3);
});

test("a first screen is a real one, drawn on the stage, and can be changed", async ({ page }) => {
  const bench = await openBench(page);
  const line = bench.wide.locator(".zt-screen-end");
  await expect(line).toHaveCSS("top", "800px");
  await expect(bench.phone.locator(".zt-screen-end")).toHaveCSS("top", "844px");
  await page.getByRole("button", { name: /^panel \d+ px, screen 708/ }).click();
  const height = page.getByRole("spinbutton", { name: "Height of the screen on wide" });
  await height.fill("900");
  await height.press("Enter");
  await expect(line).toHaveCSS("top", "900px");
  await expect(page.getByRole("row", { name: /^First screen, without the fixed bars/ })).toContainText("808");
});

test("a file without ids and titles becomes a shop by the interface too", async ({ request }) => {
  const shop = await newShop(request, "Plain file", "name,colour\nAsh stool,red\nElm bench,blue\n");
  const { products, fields } = await (await request.get(`/api/shops/${shop}`)).json();
  expect(products).toBe(2);
  expect(fields.find(({ titles }: { titles?: true }) => titles)?.name).toBe("Name");
  const page = await (await request.get(`/draft/${shop}/`, { headers: origin })).text();
  expect(page).toContain("Ash stool");
});
