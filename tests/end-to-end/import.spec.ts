import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { expectAccessible } from "./axe.ts";
import { newShop, origin } from "./bench.ts";

const nursery = readFileSync("demo/nursery.csv", "utf8");
/** The nursery with one product less, one more, a price changed, and a flower colour that is new. */
const newer = `${nursery
  .split("\n")
  .filter((line) => line !== "" && !line.startsWith("LM240,"))
  .map((line) =>
    line.startsWith("LM239,")
      ? line
          .replace(/,[A-Z][^,]* trellis panel,/, ",Renamed trellis panel,")
          .replace(/,[A-Z][^,]* twine,/, ",Renamed twine,")
          .replace(/,[A-Z][^,]* secateurs,/, ",Renamed secateurs,")
      : line,
  )
  .join("\n")}
LM900,LM900,Brand-new vine,,Plants > Climbers > Clematis,Wickwillow,,7.50,,4,,,,,Gloaming,Shade,,,,,,,,,
`;

test("a newer file shows what it changes and touches, and is written only then", async ({ page }) => {
  const made = await page.request.post("/api/shops", {
    headers: origin,
    multipart: {
      file: { name: "n.csv", mimeType: "text/csv", buffer: Buffer.from(nursery) },
      name: "Comes back",
      currency: "EUR",
    },
  });
  const { slug, panels } = await made.json();
  const count = async () => (await (await page.request.get(`/api/shops/${slug}`)).json()).products;

  await page.goto(`/shops/${slug}/catalogue`);
  await page.getByRole("link", { name: "Bring a newer file" }).click();
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "newer.csv", mimeType: "text/csv", buffer: Buffer.from(newer) });
  await page.getByRole("button", { name: "Show what changes" }).click();
  const numbers = page.locator("dl > div");
  await expect(numbers).toHaveText(["new1", "changed1", "gone1", "as they were238"]);
  await expect(page.getByText("First panel, Flower colour: Gloaming is new and has no colour.")).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: /^Title differs for 1 product/ })).toBeVisible();
  await expect(page.getByText("Brand-new vine", { exact: true })).toBeVisible();
  await expectAccessible(page);
  const version = async () =>
    (await (await page.request.get(`/api/shops/${slug}/documents/panel/${panels[0].slug}`)).json()).version;
  const panelBefore = await version();

  await page.getByRole("button", { name: "Take this catalogue" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  expect(await count()).toBe(240);
  expect(await version()).toBe(panelBefore);
  // The index follows by itself: the bench knows the new value at once.
  await page.getByRole("link", { name: "Bench" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("checkbox", { name: /^Gloaming/ })).toBeVisible();
});

test("a newer file that cannot be taken leaves the shop as it was", async ({ page }) => {
  const shop = await newShop(page.request, "Stays as it was");
  const before = await (await page.request.get(`/api/shops/${shop}/catalogue.csv`)).text();
  const send = (text: string) =>
    page.request.post(`/api/shops/${shop}/catalogue`, {
      headers: origin,
      multipart: { file: { name: "n.csv", mimeType: "text/csv", buffer: Buffer.from(text) }, write: "yes" },
    });
  for (const text of ["", "product_id,title\n", 'product_id,title\na,"A', "title,title\nA,B\n"])
    expect((await send(text)).status()).toBe(422);
  expect(await (await page.request.get(`/api/shops/${shop}/catalogue.csv`)).text()).toBe(before);
});

test("a heading that is another is told with its figures, and what hung on the field goes on with it", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Other headings");
  await page.goto(`/shops/${shop}/catalogue/import`);
  await page.getByLabel("Catalogue file").setInputFiles({
    name: "renamed.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(nursery.replace("Flower colour", "Blossom tone")),
  });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText("First panel, Flower colour: The field is gone")).toBeVisible();
  const same = page.getByRole("listitem").filter({ hasText: "Blossom tone says what Flower colour said" });
  // As many as state the field: counted in the file by hand.
  const stated = new Set(
    nursery
      .split("\n")
      .slice(1)
      .filter((line) => /\/demo\/pictures\/LM\d+\.svg,(?!,)/.test(line))
      .map((line) => line.slice(0, 5)),
  ).size;
  await expect(same).toContainText(`${stated} of ${stated} products`);
  await expectAccessible(page);
  await same.getByRole("button", { name: "This is Flower colour" }).click();
  await expect(page.getByText("No panel is touched")).toBeVisible();
  await page.getByRole("button", { name: "Take this catalogue" }).click();
  await page.getByRole("link", { name: "Bench" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("checkbox", { name: /^White/ }).first()).toBeVisible();
  // The next file with that heading needs no word any more.
  await page.goto(`/shops/${shop}/catalogue/import`);
  await page.getByLabel("Catalogue file").setInputFiles({
    name: "again.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(nursery.replace("Flower colour", "Blossom tone")),
  });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText("No field changes")).toBeVisible();
});
