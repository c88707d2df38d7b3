import { readFileSync } from "node:fs";
import type { ShopDocument } from "../../src/core/shop/shop-schema.ts";
import { sharedPort } from "../server.ts";
import { awake } from "./shop-page.ts";
import { type APIRequestContext, expect, type FrameLocator, type Locator, type Page } from "./test.ts";

export const demoShop = "larkmoss-nursery";
/** A browser's headers about the origin of a request. */
export const origin = { origin: `http://127.0.0.1:${sharedPort}` };

/** A shop of its own with the demo's catalogue, for what would disturb other tests. @returns its place in addresses */
export async function newShop(
  request: APIRequestContext,
  name: string,
  csv: string | Buffer = readFileSync("demo/nursery.csv"),
): Promise<string> {
  const file = { name: "catalogue.csv", mimeType: "text/csv", buffer: Buffer.from(csv) };
  const made = await request.post("/api/shops", { multipart: { file, name, currency: "EUR" }, headers: origin });
  expect(made.status()).toBe(201);
  return (await made.json()).slug;
}

/** Changes what holds for all panels of a shop. */
export async function saveShop(request: APIRequestContext, shop: string, change: Partial<ShopDocument>): Promise<void> {
  const path = `/api/shops/${shop}/documents/shop`;
  const { version, document } = await (await request.get(path)).json();
  const saved = await request.put(path, { data: { version, document: { ...document, ...change } }, headers: origin });
  expect(saved.status()).toBe(200);
}

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
export async function openBench(page: Page, empty = false, shop = demoShop, first = "climber-finder"): Promise<Bench> {
  let slug = first;
  if (empty) {
    const made = await page.request.post(`/api/shops/${shop}/documents/panel`, {
      data: { name: `Trial ${crypto.randomUUID().slice(0, 8)}` },
      headers: origin,
    });
    slug = (await made.json()).slug;
  }
  await page.goto(`/shops/${shop}/panels/${slug}`);
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
      await page.getByRole("button", { name: "Done", exact: true }).click();
      // The new row gets the focus; a key that is pressed before would go elsewhere.
      const isOnRow = () => page.evaluate(() => Boolean(document.activeElement?.closest("[data-row]")));
      await expect.poll(isOnRow).toBe(true);
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
  await awake(bench.wide);
  await awake(bench.phone);
  return bench;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Drags a handle onto a place of something else, once both stand still. */
export async function drag(
  page: Page,
  handle: Locator,
  onto: Locator,
  place: (box: Box) => { x: number; y: number },
): Promise<void> {
  await onto.scrollIntoViewIfNeeded();
  await handle.hover();
  // Nothing is dragged over a page that is still settling.
  let last = "";
  await expect
    .poll(
      async () => {
        const now = JSON.stringify([await onto.boundingBox(), await handle.boundingBox()]);
        const isSame = now === last;
        last = now;
        return isSame;
      },
      { intervals: [150] },
    )
    .toBe(true);
  const box = await onto.boundingBox();
  if (!box) throw new Error("There is nothing to drag onto.");
  const { x, y } = place(box);
  await page.mouse.down();
  await page.mouse.move(x, y, { steps: 8 });
  await page.mouse.up();
}
