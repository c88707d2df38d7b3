import { expect, type FrameLocator, type Page } from "./test.ts";

/** A shop's page, by itself or in a frame of the bench. */
type ShopPage = Page | FrameLocator;

/** Waits until scripts hold a page. */
export const awake = (page: ShopPage): Promise<void> => expect(page.locator("html[data-ready]")).toBeAttached();

/** Waits until what a page shows was found for what is chosen, before it is read once. */
export async function answered(page: ShopPage): Promise<void> {
  // A touch takes effect after the frame that shows it.
  await page.locator("html").evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
}
