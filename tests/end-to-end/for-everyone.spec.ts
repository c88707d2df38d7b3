import { readFileSync } from "node:fs";
import { Random } from "../../demo/random.ts";
import { demoShop, newShop, saveShop } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { devices, expect, type Page, test } from "./test.ts";

const shop = `/draft/${demoShop}/?panel=climber-finder`;
/** How far the page is wider than its window. */
const sideways = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);

/** Source: WCAG 2.2, success criterion 1.4.10: 320 CSS px, which is 1280 at 400%. */
test("at 400% zoom nothing has to be scrolled sideways", async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 256 });
  for (const address of [`${shop}&flower-colour=apricot&light=half+shade`, `/draft/${demoShop}/search?q=rose`]) {
    await page.goto(address);
    await awake(page);
    expect(await sideways(page)).toBeLessThanOrEqual(0);
  }
  await page.goto(shop);
  await awake(page);
  await page.getByRole("button", { name: "Filters" }).click();
  await expect(page.getByRole("dialog", { name: "Filters" })).toBeVisible();
  expect(await sideways(page)).toBeLessThanOrEqual(0);
  const wide = await page
    .locator("dialog[open] .zt-drawer-scroll")
    .evaluate((box) => [box.scrollWidth - box.clientWidth, box.clientHeight]);
  expect(wide[0]).toBeLessThanOrEqual(0);
  // The drawer's head and foot leave room for what is between them.
  expect(wide[1]).toBeGreaterThan(80);
});

/** Source: WCAG 2.2, success criterion 1.4.4. */
test("with text twice as large every control is there, and nothing is cut off", async ({ page }) => {
  await page.setViewportSize({ width: 640, height: 800 });
  await page.goto(shop);
  await awake(page);
  expect(await sideways(page)).toBeLessThanOrEqual(0);
  await expect(page.getByRole("button", { name: "Filters" })).toBeInViewport();
});

test.describe("on a phone", () => {
  const { viewport, userAgent, isMobile, hasTouch } = devices["Pixel 7"];
  test.use({ viewport: { width: 390, height: viewport.height }, userAgent, isMobile, hasTouch });

  /** Source: WCAG 2.2, success criterion 2.5.5: 44 px. */
  test("every control of the panel can be hit with a thumb", async ({ page }) => {
    await page.goto(shop);
    await awake(page);
    await page.getByRole("button", { name: "Filters" }).tap();
    const small = await page.locator("dialog[open]").evaluate((dialog) =>
      [...dialog.querySelectorAll("button, summary, select, input, label, a")].flatMap((one) => {
        const { width, height } = one.getBoundingClientRect();
        if (width === 0 || height === 0 || (one.matches("input") && one.closest("label"))) return [];
        // A chip or a link in a line is as wide as its words.
        return height < 44 ? [`${one.tagName} ${one.textContent?.trim() || one.ariaLabel} ${width}×${height}`] : [];
      }),
    );
    expect(small).toEqual([]);
  });
});

/** Source: CSS Color Adjustment, section 3: what tells something by its colour alone is kept out of forced colours. */
test("where the system sets the colours, swatches keep theirs, and what is chosen can be told", async ({ page }) => {
  await page.goto(`${shop}&flower-colour=apricot`);
  await awake(page);
  const dot = page.locator('.zt-swatch:has(input[value="crimson"]) .zt-dot');
  const middle = async () => {
    const box = await dot.boundingBox();
    if (!box) throw new Error("There is no swatch.");
    return page.screenshot({
      clip: { x: box.x + box.width / 2 - 3, y: box.y + box.height / 2 - 3, width: 6, height: 6 },
    });
  };
  const before = await middle();
  await page.emulateMedia({ forcedColors: "active" });
  expect((await middle()).equals(before)).toBe(true);
  const ring = (value: string) =>
    page
      .locator(`.zt-swatch:has(input[value="${value}"]) .zt-dot`)
      .evaluate((one) => getComputedStyle(one).outlineColor);
  expect(await ring("apricot")).not.toBe(await ring("crimson"));
});

/** Chooses options by chance, and takes all back now and then. @returns what was found otherwise than the count beside it had said */
const wrongCounts = (page: Page, draws: readonly number[]): Promise<string[]> =>
  page.evaluate(async (draws) => {
    // Source: Unicode, the decimal digits (Nd) of Arabic; separators of thousands by CLDR.
    const numberIn = (text = "") =>
      Number(
        text
          .replace(/[٠-٩]/g, (digit) => String(digit.charCodeAt(0) - 0x0660))
          .replace(/[.,٬\u202f\u00a0'’]/g, "")
          .match(/\d+/)?.[0],
      );
    const total = () => numberIn(document.querySelector(".zt-total")?.textContent ?? "");
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    const answer = async () => {
      do await frame();
      while (document.querySelector('[aria-busy="true"]'));
    };
    const wrong: string[] = [];
    for (const draw of draws) {
      const options = [
        ...document.querySelectorAll<HTMLElement>(".zt-facet:not(:has(input:checked)) label:has(input:enabled)"),
      ].filter((one) => one.querySelector(".zt-count") && one.getClientRects().length > 0);
      const option = options[Math.floor(draw * options.length)];
      if (!option) {
        // Every facet has a choice.
        for (const box of document.querySelectorAll<HTMLInputElement>(".zt-facet input:checked")) box.click();
        await answer();
        for (let n = 0; n < 4; n++) await frame();
        continue;
      }
      const told = numberIn(option.querySelector(".zt-count")?.textContent ?? "");
      option.click();
      await answer();
      // Counts of facets out of sight follow in the next frames.
      for (let n = 0; n < 4; n++) await frame();
      if (total() !== told) wrong.push(`${option.textContent}: ${told} were told, ${total()} found`);
    }
    return wrong;
  }, draws);

const tags = ["en", "de", "fr", "es", "nl", "ar", "ja"];
for (const [name, file, choices] of [
  ["the demo's", "demo/nursery.csv", 6],
  // Source: vega-datasets, which nobody here has made.
  ["an open", "node_modules/vega-datasets/data/cars.json", 30],
] as const)
  test(`in each language every count that is shown is what choosing it finds, in ${choices} random choices of ${name} catalogue`, async ({
    page,
  }) => {
    const own = await newShop(page.request, `Languages of ${name}`, readFileSync(file));
    await saveShop(page.request, own, { languages: tags.filter((tag) => tag !== "en") });
    const random = new Random(7);
    for (const tag of tags) {
      await page.goto(`/draft/${own}/?lang=${tag}`);
      await awake(page);
      await expect(page.locator("html")).toHaveAttribute("lang", tag);
      const draws = Array.from({ length: choices }, () => random.next());
      expect([tag, await wrongCounts(page, draws)]).toEqual([tag, []]);
    }
  });
