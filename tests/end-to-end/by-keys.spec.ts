import { studioViews } from "../studio-views.ts";
import { demoShop, newShop } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

/** More than any view has. */
const mostStops = 600;

/** What the page says of the element that has the focus. */
interface Stop {
  name: string;
  /** Whether the focus is drawn. */
  drawn: boolean;
}

/** Marks each element that Tab comes to, until it is back at the first one. */
async function tabThrough(page: Page): Promise<Stop[]> {
  const stops: Stop[] = [];
  for (let n = 0; n < mostStops; n++) {
    await page.keyboard.press("Tab");
    const stop = await page.evaluate(() => {
      let own = document.activeElement;
      // Specimens of a look are in shadow trees.
      while (own?.shadowRoot?.activeElement) own = own.shadowRoot.activeElement;
      if (!own || own === document.body || own.tagName === "IFRAME") return own?.tagName === "IFRAME" ? "frame" : "end";
      if (own.hasAttribute("data-tabbed")) return "again";
      own.setAttribute("data-tabbed", "");
      const drawnBy = (one: Element | null): boolean => {
        if (!one) return false;
        const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(one);
        return (outlineStyle !== "none" && Number.parseFloat(outlineWidth) > 0) || boxShadow !== "none";
      };
      const name = own.getAttribute("aria-label") ?? own.textContent?.trim().slice(0, 40) ?? "";
      return { name: `${own.tagName.toLowerCase()} ${name}`, drawn: drawnBy(own) || drawnBy(own.parentElement) };
    });
    if (stop === "again") break;
    if (typeof stop === "object") stops.push(stop);
  }
  return stops;
}

/** Controls in sight that Tab does not come to, but for those of a group that arrow keys lead through. */
const missed = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const moved = new Set(["radio", "tab", "option", "treeitem", "gridcell", "menuitem"]);
    return [...document.querySelectorAll<HTMLElement>("a[href], button, input, select, textarea, summary")]
      .filter((one) => one.checkVisibility({ visibilityProperty: true }) && !one.hasAttribute("data-tabbed"))
      .filter(
        (one) =>
          !one.matches(":disabled, [type=hidden], [aria-disabled=true]") && !one.closest("[inert], [aria-hidden=true]"),
      )
      .filter((one) => {
        const role = one.getAttribute("role") ?? (one.matches("[type=radio]") ? "radio" : "");
        const grid = one.closest("[role=grid]");
        if (grid && one.closest("[role=grid] td")) return !grid.querySelector("td[data-tabbed], td [data-tabbed]");
        if (!moved.has(role)) return true;
        // One of the group, or of the grid, has to be a stop.
        const group = one.closest(
          "[role=radiogroup], [role=tablist], [role=listbox], [role=tree], fieldset, [role=group]",
        );
        return !group?.querySelector("[data-tabbed]");
      })
      .map(
        (one) =>
          `${one.tagName.toLowerCase()} ${one.getAttribute("aria-label") ?? one.textContent?.trim().slice(0, 40)}`,
      );
  });

/** Waits until no more controls come. */
async function complete(page: Page): Promise<void> {
  let before = -1;
  await expect
    .poll(
      async () => {
        const now = await page.locator("a[href], button, input, select, textarea").count();
        const isSame = now === before;
        before = now;
        return isSame;
      },
      { intervals: [700] },
    )
    .toBe(true);
}

for (const view of studioViews)
  test(`Tab comes to every control of ${view === "" ? "/overview" : view}, and the focus is drawn`, async ({
    page,
  }) => {
    // A shop of its own, so that what other tests make isn't tabbed through; the demo's where there is a text to edit.
    const shop = view === "/pages/collections" ? demoShop : await newShop(page.request, "Tabbed through");
    await page.goto(`/shops/${shop}${view}`);
    await expect(page.getByRole("heading", { level: 1 })).toHaveCount(1);
    await expect(page.getByText(/^Loading/)).toHaveCount(0);
    await complete(page);
    const stops = await tabThrough(page);
    expect(stops.length).toBeGreaterThan(8);
    expect(stops.length).toBeLessThan(mostStops);
    expect(stops.filter(({ drawn }) => !drawn)).toEqual([]);
    expect(await missed(page)).toEqual([]);
  });

test("arrow keys lead through the table of products, and a cell is edited without a mouse", async ({ page }) => {
  const shop = await newShop(page.request, "Grid by keys");
  await page.goto(`/shops/${shop}/catalogue/products`);
  const cells = page.getByRole("gridcell");
  await expect(cells.first()).not.toBeEmpty();
  const focused = page.locator(":focus");
  await cells.first().getByRole("button").focus();
  for (const key of ["ArrowRight", "ArrowDown", "ArrowDown", "ArrowLeft"]) await page.keyboard.press(key);
  await expect(focused).toHaveAttribute("data-cell", "2 0");
  await page.keyboard.press("Control+End");
  await expect(focused).toHaveAttribute("data-cell", /^798 /);
  await page.keyboard.press("Control+Home");
  await expect(focused).toHaveAttribute("data-cell", "0 0");
  const price = page.getByRole("button", { name: /^Price: / }).first();
  await price.focus();
  const place = (await focused.getAttribute("data-cell")) ?? "";
  await page.keyboard.press("Enter");
  await page.keyboard.press("Control+a");
  await page.keyboard.type("13.75");
  await page.keyboard.press("Enter");
  await expect(focused).toHaveAttribute("data-cell", place);
  await expect(focused).toHaveText("13.75");
  await page.keyboard.press("ArrowDown");
  await expect(focused).not.toHaveAttribute("data-cell", place);
});
