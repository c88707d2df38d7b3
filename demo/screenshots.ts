/** Makes the pictures in docs/screenshots anew from the demo shop: `npm run screenshots`. */
import { readFileSync } from "node:fs";
import { type Browser, chromium, type Page } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";

const folder = "docs/screenshots";

await withServer(4397, async (origin) => {
  const browser = await chromium.launch(launch);
  try {
    await studio(browser, origin);
    await storefront(browser, origin);
  } finally {
    await browser.close();
  }
});

async function studio(browser: Browser, origin: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${origin}/shops/larkmoss-nursery/bench`);
  const phone = page.frameLocator('iframe[title^="Phone"]');
  await phone.locator("html[data-ready]").waitFor({ state: "attached" });
  await page.getByRole("button", { name: "Open drawer" }).click();
  await phone.locator('.zt-tiles input[value="half shade"]').check();
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/bench.png` });
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("button", { name: /^Flower colour on wide/ }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/bench-displays.png` });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Settings of Flower colour" }).click();
  await page.getByRole("tab", { name: "options" }).click();
  await page.getByRole("list", { name: "Options of Flower colour" }).scrollIntoViewIfNeeded();
  await settled(page);
  await page.screenshot({ path: `${folder}/options.png` });
  await page.getByRole("button", { name: "Settings of Flower colour" }).click();
  await page.getByRole("button", { name: /findings?$/ }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/findings.png` });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Arrange", exact: true }).click();
  await page
    .frameLocator('iframe[title^="Wide page"]')
    .getByRole("button", { name: "Move Light", exact: true })
    .focus();
  await settled(page);
  await page.screenshot({ path: `${folder}/arranging.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/pages`);
  await page.getByRole("button", { name: "Facets on Gifts" }).click();
  await page.getByRole("button", { name: "Layout of Gifts" }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/pages.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/swatches/flower-colour`);
  await page.getByRole("button", { name: "Look at the pictures" }).click();
  await page.getByText(/^Colours for/).waitFor({ timeout: 60_000 });
  await page.getByText(/^Colours for/).waitFor({ state: "hidden" });
  await settled(page);
  await page.screenshot({ path: `${folder}/swatches.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/catalogue/products`);
  const narrow = page.getByRole("navigation", { name: "Narrow down" });
  await narrow.getByRole("button", { name: "Light", exact: true }).click();
  await narrow.getByRole("checkbox", { name: /^Half shade/ }).check();
  await settled(page);
  await page.screenshot({ path: `${folder}/products.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/catalogue`);
  await page.getByRole("button", { name: "Flower colour", exact: true }).click();
  await page.getByRole("row", { name: /^Price/ }).evaluate((row) => row.scrollIntoView());
  await settled(page);
  await page.screenshot({ path: `${folder}/catalogue.png` });

  // The same catalogue without one product and with a colour renamed.
  const newer = readFileSync("demo/nursery.csv", "utf8")
    .replace(/^LM240,.*\n/m, "")
    .replaceAll(",Ember,", ",Emberglow,");
  await page.getByRole("link", { name: "Bring a newer file" }).click();
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "nursery-spring.csv", mimeType: "text/csv", buffer: Buffer.from(newer) });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await page.getByText("What it does to your panels").waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/import.png` });

  await page.goto(`${origin}/new`);
  // A made-up fault, so that the picture shows how faults are told.
  const csv = readFileSync("demo/nursery.csv", "utf8").replace(",11.25,", ",11 euro,");
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "nursery.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await page.getByText("240 products").waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/new-shop.png` });
  await page.close();
}

async function storefront(browser: Browser, origin: string): Promise<void> {
  const wide = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await wide.goto(`${origin}/shop/larkmoss-nursery/?light=half+shade&flower-colour=apricot&flower-colour=violet`);
  await settled(wide);
  await wide.screenshot({ path: `${folder}/storefront.png` });
  await wide.goto(`${origin}/shop/larkmoss-nursery/collections/gifts`);
  await settled(wide);
  await wide.screenshot({ path: `${folder}/collection.png` });
  await wide.goto(`${origin}/shop/larkmoss-nursery/collections/gifts?light=shade&category=pots`);
  await settled(wide);
  await wide.screenshot({ path: `${folder}/nothing-found.png` });
  await wide.goto(`${origin}/shop/larkmoss-nursery/articles/plants-and-pets`);
  await settled(wide);
  await wide.screenshot({ path: `${folder}/article.png` });
  await wide.goto(`${origin}/shop/larkmoss-nursery/categories/plants`);
  await settled(wide);
  await wide.evaluate(() => scrollTo(0, 900));
  await settled(wide);
  await wide.screenshot({ path: `${folder}/sticky.png` });
  await wide.close();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
  await phone.goto(`${origin}/shop/larkmoss-nursery/?light=half+shade`);
  await phone.locator("html[data-ready]").waitFor({ state: "attached" });
  await phone.getByRole("button", { name: /^Filters/ }).click();
  await settled(phone);
  await phone.screenshot({ path: `${folder}/storefront-phone.png` });
  await phone.close();
}

async function settled(page: Page): Promise<void> {
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(500);
}
