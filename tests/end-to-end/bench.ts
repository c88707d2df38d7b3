import { expect, type FrameLocator, type Page } from "@playwright/test";

export const demoShop = "larkmoss-nursery";

/** The bench of a panel of its own, so that tests do not meet in one. */
export interface Bench {
  page: Page;
  slug: string;
  wide: FrameLocator;
  phone: FrameLocator;
  addFacet(name: string): Promise<void>;
  /** Opens a cell's card and takes a display. */
  choose(row: string, band: string, display: string): Promise<void>;
  saved(): Promise<void>;
  /** Takes an entry of a row's menu. */
  menu(row: string, entry: string): Promise<void>;
}

/** Opens the bench: of the demo shop's first panel, or of a new empty one. */
export async function openBench(page: Page, empty = false): Promise<Bench> {
  let slug = "climber-finder";
  if (empty) {
    const made = await page.request.post(`/api/shops/${demoShop}/panels`, {
      data: { name: `Trial ${crypto.randomUUID().slice(0, 8)}` },
      headers: { origin: "http://127.0.0.1:4399" },
    });
    slug = (await made.json()).slug;
  }
  await page.goto(`/shops/${demoShop}/bench/${slug}`);
  const bench: Bench = {
    page,
    slug,
    wide: page.frameLocator('iframe[title^="Wide page"]'),
    phone: page.frameLocator('iframe[title^="Phone"]'),
    async addFacet(name) {
      await page.getByRole("button", { name: "Facet or piece" }).click();
      await page.getByRole("searchbox", { name: "Search the fields" }).fill(name);
      await page
        .getByRole("dialog")
        .getByRole("button", { name: new RegExp(`^${name}`) })
        .first()
        .click();
    },
    async choose(row, band, display) {
      await page.getByRole("button", { name: new RegExp(`^${row} on ${band}`) }).click();
      await page.getByRole("dialog").getByRole("button", { name: display, exact: true }).click();
    },
    async menu(row, entry) {
      await page.getByRole("button", { name: `More for ${row}`, exact: true }).click();
      await page.getByRole("dialog").getByRole("button", { name: entry, exact: true }).click();
    },
    async saved() {
      await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
    },
  };
  await expect(bench.wide.locator("html[data-ready]")).toBeAttached();
  await expect(bench.phone.locator("html[data-ready]")).toBeAttached();
  return bench;
}
