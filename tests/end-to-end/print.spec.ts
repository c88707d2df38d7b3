import { readFileSync } from "node:fs";
import { unzipSync } from "fflate";
import { demoShop, openBench } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

test("a panel prints as one sheet with its rows on each band, its numbers and its findings", async ({ page }) => {
  await page.addInitScript(() => {
    window.print = () => document.documentElement.setAttribute("data-printed", "");
  });
  await openBench(page);
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox").fill("print pdf");
  await page.keyboard.press("Enter");
  await expect(page.locator("html[data-printed]")).toBeAttached();
  await page.emulateMedia({ media: "print" });
  const sheet = page.getByRole("region", { name: "Printed panel" });
  await expect(sheet.getByRole("heading", { name: "Climber finder" })).toBeVisible();
  await expect(sheet.getByRole("row", { name: /^Light/ })).toContainText(/Check boxes.*Tiles.*66%/);
  await expect(sheet).toContainText("Pet safe offers find only 47 of 240 products");
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeHidden();
  // One page of A4: 1123 px at 96 dpi.
  expect(await sheet.evaluate((element) => element.getBoundingClientRect().height)).toBeLessThan(1123);
  await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
  await page.emulateMedia({ media: "screen" });
  await expect(sheet).toHaveCount(0);
  await expect(page.getByRole("list", { name: "Rows of the panel" })).toBeVisible();
});

/** Size of a PNG, and the share of its pixels that differ from its first one. */
const readPicture = (page: Page, png: Uint8Array) =>
  page.evaluate(async (base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    const image = await createImageBitmap(new Blob([bytes], { type: "image/png" }));
    const canvas = new OffscreenCanvas(image.width, image.height);
    const context = canvas.getContext("2d");
    context?.drawImage(image, 0, 0);
    const { data } = context?.getImageData(0, 0, image.width, image.height) ?? { data: new Uint8ClampedArray() };
    const pixels = new Uint32Array(data.buffer);
    const other = pixels.reduce((sum, pixel) => sum + (pixel === pixels[0] ? 0 : 1), 0);
    return { width: image.width, height: image.height, inked: other / pixels.length };
  }, Buffer.from(png).toString("base64"));

test("a panel is saved as a picture on each band, as shoppers see it", async ({ page }) => {
  const { wide } = await openBench(page);
  await page.getByRole("button", { name: "More for panel Climber finder" }).click();
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "Download pictures (PNG)" }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe("climber-finder-pictures.zip");
  const pictures = unzipSync(readFileSync(await file.path()));
  expect(Object.keys(pictures).sort()).toEqual(["medium", "slim", "wide"].map((band) => `climber-finder-${band}.png`));
  for (const [name, png] of Object.entries(pictures)) {
    const { width, height, inked } = await readPicture(page, png);
    // Two pixels per CSS px, and 16 px around the panel.
    expect([name, width > 2 * 200 && width < 2 * 400]).toEqual([name, true]);
    expect([name, height > 2 * 900]).toEqual([name, true]);
    expect([name, inked > 0.03 && inked < 0.6]).toEqual([name, true]);
  }
  const box = await wide.locator(".zt-panel").evaluate((element) => [element.clientWidth, element.clientHeight]);
  const png = pictures["climber-finder-wide.png"];
  const taken = png && (await readPicture(page, png));
  expect([taken?.width, taken?.height]).toEqual(box.map((length) => 2 * (length + 32)));
});

test("other views print in full, without what is there to be pressed", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/catalogue`);
  await expect(page.getByRole("cell", { name: "category path" })).toBeVisible();
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("navigation", { name: "Views" })).toBeHidden();
  await expect(page.getByText("Image", { exact: true })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
});
