import { readFileSync } from "node:fs";
import Papa from "papaparse";
import { expectAccessible } from "./axe.ts";
import { newShop, origin } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

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
  await page.getByRole("link", { name: "Import a newer file" }).click();
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "newer.csv", mimeType: "text/csv", buffer: Buffer.from(newer) });
  await page.getByRole("button", { name: "Show what changes" }).click();
  const numbers = page.locator("dl > div");
  await expect(numbers).toHaveText(["new1", "changed1", "removed1", "unchanged238"]);
  await expect(page.getByText("First panel, Flower colour: Gloaming is new and has no colour.")).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: /^Title differs for 1 product/ })).toBeVisible();
  await expect(page.getByText("Brand-new vine", { exact: true })).toBeVisible();
  await expectAccessible(page);
  const version = async () =>
    (await (await page.request.get(`/api/shops/${slug}/documents/panel/${panels[0].slug}`)).json()).version;
  const panelBefore = await version();

  await page.getByRole("button", { name: "Import this file" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  expect(await count()).toBe(240);
  expect(await version()).toBe(panelBefore);
  // The index follows by itself: the bench knows the new value at once.
  await page.getByRole("link", { name: "Panels" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("checkbox", { name: /^Gloaming/ })).toBeVisible();
});

test("a newer file that cannot be taken leaves the shop as it was", async ({ page }) => {
  const shop = await newShop(page.request, "Stays as it was");
  const before = await (await page.request.get(`/api/shops/${shop}/catalogue.csv`)).text();
  const send = (text: string) =>
    page.request.post(`/api/shops/${shop}/catalogue`, {
      headers: origin,
      multipart: { file: { name: "n.csv", mimeType: "text/csv", buffer: Buffer.from(text) } },
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
  const same = page.getByRole("listitem").filter({ hasText: "Blossom tone has the same values as Flower colour" });
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
  await expect(page.getByText("Nothing changes.")).toBeVisible();
  await page.getByRole("button", { name: "Import this file" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  await page.getByRole("link", { name: "Panels" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("checkbox", { name: /^White/ }).first()).toBeVisible();
  // The next file with that heading needs no word any more.
  await page.goto(`/shops/${shop}/catalogue/import`);
  await page.getByLabel("Catalogue file").setInputFiles({
    name: "again.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`${nursery.replace("Flower colour", "Blossom tone")}\n`),
  });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText("Nothing changes.")).toBeVisible();
});

/** Brings a file to the view of newer files, up to what it changes. */
async function bring(page: Page, shop: string, csv: string): Promise<void> {
  await page.goto(`/shops/${shop}/catalogue/import`);
  const file = { name: "newer.csv", mimeType: "text/csv", buffer: Buffer.from(csv) };
  await page.getByLabel("Catalogue file").setInputFiles(file);
  await page.getByRole("button", { name: "Show what changes" }).click();
}

/** The nursery's rows as lists of cells, read by another reader than the tool's. */
const rows = Papa.parse<string[]>(nursery, { skipEmptyLines: true }).data;
const column = (name: string) => rows[0]?.indexOf(name) ?? -1;
const withCells = (change: (row: string[]) => string[]) =>
  Papa.unparse([rows[0] ?? [], ...rows.slice(1).map((row) => change([...row]))]);

test("paths in another writing are read as levels, which is shown and can be changed", async ({ page }) => {
  const shop = await newShop(page.request, "Slashed");
  await page.goto(`/shops/${shop}/catalogue/import`);
  await page.getByLabel("Catalogue file").setInputFiles({
    name: "slashed.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      withCells((row) => row.with(column("category"), row[column("category")]?.replaceAll(" > ", " / ") ?? "")),
    ),
  });
  const levels = page.getByRole("combobox", { name: "Levels of category are written like" });
  await expect(levels).toHaveValue(" / ");
  const row = page.getByRole("row").filter({ has: levels });
  await expect(row).toContainText("31 values");
  // Read as names, each path is one value.
  await levels.selectOption("levels A > B");
  await expect(row).not.toContainText("31 values");
  await levels.selectOption("levels A / B");
  await expect(row).toContainText("31 values");
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText("Nothing changes.")).toBeVisible();
});

test("a value that is spelt anew goes on as what it was, and its swatch with it", async ({ page }) => {
  const shop = await newShop(page.request, "Spelt anew");
  const at = column("Flower colour");
  const spelt = withCells((row) =>
    row.with(
      at,
      row[at]
        ?.split("|")
        .map((one) => (one === "Pale pink" ? "Palepink" : one))
        .join("|") ?? "",
    ),
  );
  const products = new Set(rows.filter((row) => row[at]?.split("|").includes("Pale pink")).map(([id]) => id)).size;
  await bring(page, shop, spelt);
  const same = page.getByRole("listitem").filter({ hasText: "is now in" });
  await expect(same).toContainText(
    `Flower colour: Palepink is now in all of the ${products} products that had Pale pink`,
  );
  await expect(page.getByText("Palepink is new and has no colour.")).toHaveCount(0);
  await expectAccessible(page);
  await same.getByRole("button", { name: "This is Pale pink" }).click();
  await expect(page.getByText("Nothing changes.")).toBeVisible();
  await page.getByRole("button", { name: "Import this file" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  await page.getByRole("link", { name: "Panels" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  const count = new RegExp(`^Pale pink.*\\b${products}\\b`);
  await expect(wide.getByRole("checkbox", { name: count }).first()).toBeVisible();
  await expect(wide.getByRole("checkbox", { name: /^Palepink/ })).toHaveCount(0);
});

test("a mend that hides a newer price is told, and let go; and the file is taken back whole", async ({ page }) => {
  const shop = await newShop(page.request, "Newer prices");
  const price = column("price");
  const [, first] = rows;
  const [id = "", sku = ""] = first ?? [];
  const mends = `/api/shops/${shop}/documents/mends`;
  const cell = { id: "m1", kind: "cell", field: "price", product: id, variant: sku, to: ["9.99"] };
  const kept = { ...cell, id: "m2", field: "brand", to: ["Somebody"] };
  await page.request.put(mends, {
    data: { version: 0, document: { format: 1, mends: [cell, kept] } },
    headers: origin,
  });
  const dearer = withCells((row) => (row[1] === sku ? row.with(price, "14.50") : row));
  await bring(page, shop, dearer);
  const hidden = page.getByRole("region", { name: "Corrections that hide a newer value" });
  await expect(hidden.getByRole("listitem")).toHaveCount(1);
  await expect(hidden).toContainText(
    `Price: was ${first?.[price]} in the old file and is 14.50 in the new one; your correction is 9.99`,
  );
  await expectAccessible(page);
  await hidden.getByRole("checkbox").check();
  await page.getByRole("button", { name: "Import this file" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  const priced = async () => {
    const text = await (await page.request.get(`/api/shops/${shop}/catalogue.csv`)).text();
    const [header, ...lines] = Papa.parse<string[]>(text).data;
    return lines.find((row) => row[1] === sku)?.[header?.indexOf("price") ?? -1];
  };
  await expect.poll(priced).toBe("14.50");
  expect((await (await page.request.get(mends)).json()).document.mends.map((mend: { id: string }) => mend.id)).toEqual([
    "m2",
  ]);
  // Back: the price, and the mend over it.
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect.poll(priced).toBe("9.99");
  await expect(page).toHaveURL(/\/catalogue$/);
  await page.goto(`/shops/${shop}/catalogue/import`);
  await expect(page.getByRole("region", { name: "Earlier imports" }).getByRole("listitem")).toHaveCount(2);
  await expectAccessible(page);
});

test("the very same file says so before it is read", async ({ page }) => {
  const shop = await newShop(page.request, "The same again");
  await page.goto(`/shops/${shop}/catalogue/import`);
  const file = { name: "again.csv", mimeType: "text/csv", buffer: Buffer.from(nursery) };
  await page.getByLabel("Catalogue file").setInputFiles(file);
  await expect(page.getByRole("status").filter({ hasText: "imported from this very file" })).toBeVisible();
  await page.getByRole("button", { name: "Import it anyway" }).click();
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText("All 240 products stay the same.")).toBeVisible();
});

test("a column is chosen by hand to go on as a field that is gone", async ({ page }) => {
  const shop = await newShop(page.request, "By hand");
  await page.goto(`/shops/${shop}/catalogue/import`);
  const light = column("Light");
  const turned = withCells((row) => row.with(light, `${row[0]}-x`)).replace("Light", "Aisle");
  const file = { name: "aisle.csv", mimeType: "text/csv", buffer: Buffer.from(turned) };
  await page.getByLabel("Catalogue file").setInputFiles(file);
  await page.getByRole("combobox", { name: "Use Aisle as" }).selectOption({ label: "Light" });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.getByText(/^Light differs for/)).toBeVisible();
  await expect(page.getByText("The field is gone")).toHaveCount(0);
});
