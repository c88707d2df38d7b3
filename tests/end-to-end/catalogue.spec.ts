import { expectAccessible } from "./axe.ts";
import { demoShop, origin } from "./bench.ts";
import { expect, test } from "./test.ts";

test("a field unfolds to its spread, what to know, and the products that say nothing", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/catalogue`);
  await page.getByRole("button", { name: "Light", exact: true }).click();
  const spread = page.getByRole("region", { name: "Spread of Light" });
  await expect(spread.getByRole("row")).toHaveText([/^Full sun/, /^Shade/, /^Half shade/]);
  await expect(page.getByRole("region", { name: "What to know about Light" })).toContainText(
    "Half shade is written “Half shade”, “half shade”",
  );
  const silent = page.getByRole("region", { name: "Products without a value for Light" });
  const told = Number((await silent.getByRole("heading").textContent())?.match(/^\d+/)?.[0]);
  await page
    .getByRole("row", { name: /^Light/ })
    .getByRole("button", { name: /%$/ })
    .click();
  await expect(page.getByRole("dialog", { name: "Reach of Light" }).getByRole("status")).toContainText(
    `: ${240 - told} products, the same.`,
  );
  await page.keyboard.press("Escape");
  await expectAccessible(page);

  await page.getByRole("button", { name: "Price", exact: true }).click();
  await expect(page.getByRole("img", { name: /^Products by Price: €0 to €10: \d+/ })).toBeVisible();
  await expect(page.getByRole("region", { name: "What to know about Price" })).toContainText("far outside, up to €340");
  await expect(spread).toHaveCount(0);
});

test("every variant can be found, sorted and looked at", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/catalogue`);
  await page.getByRole("link", { name: "Products" }).click();
  await expect(page.getByRole("status").filter({ hasText: "variants" })).toHaveText("799 of 799 variants");
  await page.getByRole("searchbox", { name: "Search the products" }).fill("wisteria arch");
  await expect(page.getByRole("row").nth(1)).toContainText("Century wisteria, trained on an arch");
  const heading = page.getByRole("columnheader", { name: "Price", exact: true });
  const prices = () => page.getByRole("button", { name: /^Price: .* Edit$/ }).allTextContents();
  await heading.getByRole("button").click();
  await expect(heading).not.toHaveAttribute("aria-sort", "none");
  const falls = (await heading.getAttribute("aria-sort")) === "descending";
  const wanted = ["9.25", "15.75", "27.00", "340.00"];
  await expect.poll(prices).toEqual(falls ? wanted.reverse() : wanted);
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: "Pot size" }).check();
  await expect(page.getByRole("columnheader", { name: "Pot size" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("searchbox", { name: "Search the products" }).fill("");
  // Only what is in sight is drawn.
  expect(await page.getByRole("row").count()).toBeLessThan(60);
  await expectAccessible(page);
});

const byName = (key: string, value: unknown) =>
  key === "additionalProperty"
    ? (value as { name: string }[]).toSorted((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
    : value;

for (const format of ["csv", "jsonld"]) {
  test(`a catalogue that is downloaded as ${format} makes the same shop again`, async ({ request }) => {
    const download = async (shop: string, as: string) =>
      (await request.get(`/api/shops/${shop}/catalogue.${as}`)).text();
    const file = await download(demoShop, format);
    const made = await request.post("/api/shops", {
      headers: origin,
      multipart: {
        file: { name: `again.${format}`, mimeType: "text/plain", buffer: Buffer.from(file) },
        name: `Again ${format}`,
        currency: "EUR",
      },
    });
    expect(made.status()).toBe(201);
    const { slug, products, variants } = await made.json();
    expect([products, variants]).toEqual([240, 799]);
    // The second download is the first; attributes stand in the order in which the file first states them.
    if (format === "csv") expect(await download(slug, "csv")).toBe(file);
    else expect(JSON.parse(await download(slug, "jsonld"), byName)).toEqual(JSON.parse(file, byName));
  });
}
