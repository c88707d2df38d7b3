import { Random } from "../../demo/random.ts";
import type { Selection } from "../../src/core/engine/question.ts";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { foundBy, panelOf, ready, test } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

const wide = { width: 1280, height: 800 };
const slim = { width: 390, height: 844 };

/** Changes some inputs of the first panel as a shopper would, by seeded chance, and says what is chosen then. */
async function chooseByChance(page: Page, random: Random): Promise<Selection> {
  const chances = Array.from({ length: 8 }, () => random.next());
  return page.evaluate((draws) => {
    const [steps = 0, ...rest] = draws;
    const panel = document.querySelector("trellis-panel") as TrellisPanelElement;
    panel.clear();
    for (let step = 0; step < 1 + Math.floor(steps * 3); step++) {
      const inputs = [
        ...panel.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
          "input:not([type=range], [type=search], [type=hidden]):enabled, select",
        ),
      ];
      const input = inputs[Math.floor((rest[2 * step] ?? 0) * inputs.length)];
      const chance = rest[2 * step + 1] ?? 0;
      if (input instanceof HTMLSelectElement) {
        const options = [...input.options].filter(({ disabled }) => !disabled);
        input.value = options[Math.floor(chance * options.length)]?.value ?? "";
        input.dispatchEvent(new Event("change", { bubbles: true }));
      } else if (input?.type === "number" || input?.inputMode === "decimal") {
        input.value = String(Math.round(Number(input.placeholder || 100) * (0.5 + chance)));
        input.dispatchEvent(new Event("change", { bubbles: true }));
      } else input?.click();
    }
    return panel.selection ?? { choices: {}, text: "" };
  }, chances);
}

for (const [band, size] of Object.entries({ wide, slim })) {
  test.describe(`on ${band}`, () => {
    test.use({ viewport: size });

    test(`our listing shows what tally finds, in 15 random choices; waking moves nothing`, async ({
      page,
      foreign,
    }) => {
      const { complaints } = await foreign.open(page, "ours.html");
      await ready(page);
      await page.waitForTimeout(300);
      expect(await page.evaluate(() => window.shift)).toBe(0);
      const random = new Random(band === "wide" ? 1 : 2);
      let narrowed = 0;
      for (let round = 0; round < 15; round++) {
        const selection = await chooseByChance(page, random);
        const expected = await foreign.site.tally(selection);
        if (expected.total < 240) narrowed++;
        const shown = () =>
          page
            .locator("trellis-listing [data-trellis-product]")
            .evaluateAll((all) => all.map((one) => one.getAttribute("data-trellis-product")));
        await expect.poll(shown, JSON.stringify(selection)).toEqual(expected.products.slice(0, 24));
        await expect(page.locator("[data-trellis-count]")).toHaveText(
          expected.total === 1 ? "1 product" : `${expected.total} products`,
        );
      }
      expect(narrowed).toBeGreaterThan(10);
      expect(complaints).toEqual([]);
    });

    test(`a list of the site's own keeps what tally finds, in 15 random choices`, async ({ page, foreign }) => {
      const { complaints } = await foreign.open(page, "own.html");
      await ready(page);
      await page.waitForTimeout(300);
      expect(await page.evaluate(() => window.shift)).toBe(0);
      const random = new Random(band === "wide" ? 3 : 4);
      for (let round = 0; round < 15; round++) {
        const selection = await chooseByChance(page, random);
        const expected = await foreign.site.tally(selection);
        // In the site's own order, which is the other way round.
        const seen = () => page.locator("[data-trellis-list] > li:visible article").allTextContents();
        await expect.poll(seen, JSON.stringify(selection)).toEqual([...expected.products].reverse());
        await expect(page.locator("[data-trellis-nothing]")).toBeVisible({ visible: expected.total === 0 });
      }
      expect(complaints).toEqual([]);
    });

    test(`as a form it leads to the site's page with what tally finds, in 15 random choices`, async ({
      page,
      foreign,
    }) => {
      const random = new Random(band === "wide" ? 5 : 6);
      const { complaints } = await foreign.open(page, "form.html");
      for (let round = 0; round < 15; round++) {
        await page.goto(`${foreign.origin}/form.html`);
        await ready(page);
        await chooseByChance(page, random);
        const button = page.locator(".zt-apply");
        const promised = Number(/\d+/.exec((await button.textContent()) ?? "")?.[0]);
        await button.click();
        await page.waitForURL("**/found.html*");
        await ready(page);
        const selection = await panelOf(page).evaluate((panel: TrellisPanelElement) => panel.selection);
        const expected = await foreign.site.tally(selection ?? { choices: {}, text: "" });
        expect(expected.total).toBe(promised);
        expect(await foundBy(page)).toEqual(expected.products);
      }
      expect(complaints).toEqual([]);
    });
  });
}
