import { Random } from "../../demo/random.ts";
import { demoShop } from "./bench.ts";
import { answered, awake } from "./shop-page.ts";
import { expect, type Locator, type Page, test } from "./test.ts";

/** The text and the choices of a page, line by line. */
const shown = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const text = (element: Element | null) => (element?.textContent ?? "").replace(/\s+/g, " ").trim();
    const fields = document.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
      "form.zt-panel input:not([type=hidden]), form.zt-panel select",
    );
    // Chips stand in the order of choosing, which no address keeps; each of them is there again.
    const chips = document.querySelectorAll("main .zt-chip");
    const told = document.querySelectorAll("main .zt-total, .zs-nothing, .zs-card, main tbody tr");
    return [
      ...[...fields].map((field) => {
        const chosen = "checked" in field && /checkbox|radio/.test(field.type) ? String(field.checked) : "";
        const name = field.name || field.getAttribute("aria-label");
        return `${name} ${field.value} ${chosen} ${text(field.closest("label"))}`;
      }),
      ...[...chips].map(text).sort(),
      ...[...told].map(text),
    ];
  });

/** One of those that can be reached, if there is any. */
async function oneOf(random: Random, all: Locator): Promise<Locator | undefined> {
  const count = await all.count();
  return count === 0 ? undefined : all.nth(random.whole(0, count - 1));
}

/** Things that shoppers do; each does nothing where there is nothing to do it with. */
const acts: ((page: Page, random: Random) => Promise<unknown>)[] = [
  async (page, random) =>
    (await oneOf(random, page.locator("form.zt-panel label:visible:has(input:enabled)")))?.click(),
  async (page, random) =>
    (await oneOf(random, page.locator("form.zt-panel label:visible:has(input:enabled)")))?.click(),
  async (page, random) => (await oneOf(random, page.locator(".zt-chips button:visible")))?.click(),
  async (page, random) => (await oneOf(random, page.locator("main nav a:visible, main .zt-more:visible")))?.click(),
  async (page, random) => {
    const handle = await oneOf(random, page.locator("form.zt-panel input[type=range]:visible"));
    await handle?.focus();
    for (const key of handle ? ["ArrowRight", "PageUp", "ArrowLeft"] : []) await page.keyboard.press(key);
  },
  async (page, random) => {
    const field = await oneOf(random, page.locator("form.zt-panel .zt-ends input:visible"));
    await field?.fill(String(random.whole(1, 200)));
    await field?.press("Enter");
  },
  async (page, random) => {
    // Which variant a row of the table shows is no place of the page.
    const list = await oneOf(random, page.locator("main select:visible:not(tbody select)"));
    const values =
      (await list
        ?.locator("option:enabled")
        .evaluateAll((all: HTMLOptionElement[]) => all.map(({ value }) => value))) ?? [];
    if (list) await list.selectOption(values[random.whole(0, values.length - 1)] ?? "");
  },
  (page) => page.goBack(),
  (page) => page.goForward(),
];

// Whatever a shopper did, whoever opens the address of it sees the same: reload, a shared link, no script at first.
for (const [path, width, seed] of [
  ["/", 1280, 1],
  ["/collections/gifts", 800, 2],
  ["/search?q=rose", 1280, 3],
  ["/articles/choosing-a-climber", 1280, 4],
] as const)
  test(`what was chosen at random on ${path}, ${width} px wide, is there again at its address`, async ({ page }) => {
    const random = new Random(seed);
    const again = await page.context().newPage();
    for (const one of [page, again]) await one.setViewportSize({ width, height: 900 });
    const start = `/draft/${demoShop}${path}`;
    await page.goto(start);
    await awake(page);
    for (let i = 0; i < 14; i++) {
      await acts[random.whole(0, acts.length - 1)]?.(page, random);
      // Going back beyond the first page starts again.
      if (!page.url().includes("/draft/")) await page.goto(start);
      await awake(page);
      await answered(page);
      await again.goto(page.url());
      await awake(again);
      await answered(again);
      expect(await shown(page), page.url()).toEqual(await shown(again));
    }
  });
