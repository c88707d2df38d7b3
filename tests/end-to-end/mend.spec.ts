import { expectAccessible } from "./axe.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

const header = "Artikel;Name;Preis;Liefertag;Farbe;Höhe;Lage";
const row = (n: number, colour: string, height: string, place: string, price = "1.010,50") =>
  `p${n};Plant ${n};${price};0${1 + (n % 9)}.04.2026;${colour};${height};${place}`;
const rows = [
  ...Array.from({ length: 12 }, (_, n) =>
    row(n, n % 2 ? "Crème" : "Rose red", `${20 + n} cm`, n % 3 ? "Sun" : "Shade"),
  ),
  row(12, "Creme", "0,5 m", "Suns"),
  row(13, "Rose reds", "30 cm", "Shade"),
  row(14, "Rose red / white", "31 cm", "Sun"),
];
const bring = (page: Page, name: string, lines: string[]) =>
  page
    .getByLabel("Catalogue file")
    .setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from([header, ...lines].join("\n")) });

test("a foreign file is read as it is written, mended, brought again, and its mends hold", async ({ page }) => {
  await page.goto("/new");
  await bring(page, "ladenliste.csv", rows);
  // No heading is known; the id and the name are chosen, marks are found.
  await page.getByRole("combobox", { name: "Use Artikel as" }).selectOption("product_id");
  await page.getByRole("combobox", { name: "Use Preis as" }).selectOption("price");
  await expect(page.getByText("15 products, 15 variants")).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Use Name as" })).toHaveValue("title");
  await expect(page.getByRole("combobox", { name: "Dates of Liefertag are written like" })).toHaveValue("dmy");
  // The price was an attribute when its numbers were looked at; as a price it says what does not fit.
  await page.getByRole("combobox", { name: "Numbers of Preis are written like" }).selectOption(",");
  // Units that differ are converted; here they stay as they are until later.
  await expect(page.getByRole("row", { name: /^Höhe/ })).toContainText("converted to cm");
  await page.getByRole("combobox", { name: "Values of Höhe are" }).selectOption("text");
  await expect(page.getByText("No problems: every row can be imported.")).toBeVisible();
  await page.getByRole("button", { name: "Create the shop" }).click();
  await expect(page).toHaveURL(/\/shops\/ladenliste\/panels/);

  await page.getByRole("link", { name: "Catalogue" }).click();
  await expect(page.getByRole("row", { name: /^Price number variant/ })).toContainText("1010.50");
  await page.getByRole("button", { name: "Farbe", exact: true }).click();
  const known = page.getByRole("region", { name: "What to know about Farbe" });
  await expect(known).toContainText("Creme (1) is probably Crème (6): the same except for accents");
  await known.getByRole("button", { name: "Merge into Crème" }).click();
  await expect(known).not.toContainText("Creme (1)");
  await known.getByRole("button", { name: "Merge into Rose red" }).click();
  await expect(page.getByRole("row", { name: /^Farbe/ })).toContainText("3");

  // Split one value in two where it stands.
  await page.getByRole("button", { name: "Correct the values" }).click();
  await page.getByRole("textbox", { name: "Rename Rose red / white" }).fill("Rose red | White");
  await page.getByRole("textbox", { name: "Rename Rose red / white" }).press("Enter");
  const values = page.getByRole("list", { name: "Values" });
  await expect(values.getByRole("listitem")).toHaveText(["8", "7", "1"]);
  await expectAccessible(page);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Rename Rose red / white" })).toBeVisible();
  await page.getByRole("button", { name: /^Redo: Farbe/ }).click();
  await expect(values.getByRole("listitem")).toHaveText(["8", "7", "1"]);

  // Values with units become numbers.
  await page.getByRole("button", { name: "Höhe", exact: true }).click();
  await page.getByRole("button", { name: "Convert to numbers in cm" }).click();
  await expect(page.getByRole("row", { name: /^Höhe/ })).toContainText("number");
  await expect(page.getByRole("region", { name: "What to know about Höhe" })).toContainText(
    "Half of the numbers are between",
  );

  // A cell, and a value for all that are found.
  await page.getByRole("link", { name: "Products" }).click();
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: "Lage" }).check();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Lage: Suns. Edit" }).press("Enter");
  await page.getByRole("textbox", { name: "Lage of p12, variant #1" }).fill("Sun");
  await page.getByRole("textbox", { name: "Lage of p12, variant #1" }).press("Enter");
  await expect(page.getByRole("button", { name: "Lage: Suns. Edit" })).toHaveCount(0);
  await page.getByRole("button", { name: "Lage", exact: true }).first().click();
  await page.getByRole("checkbox", { name: /^Shade/ }).check();
  await expect(page.getByRole("status").filter({ hasText: "variants" })).toHaveText("5 of 15 variants");
  await page.getByRole("button", { name: "Set a value" }).click();
  await page.getByRole("combobox", { name: "Field" }).selectOption("Lage");
  await page.getByRole("textbox", { name: "Value" }).fill("Full shade");
  await page.getByRole("button", { name: "Set it for 5 products" }).click();
  await expect(page.getByRole("status").filter({ hasText: "variants" })).toHaveText("0 of 15 variants");
  await expectAccessible(page);
  await page.getByRole("link", { name: /^Corrections/ }).click();
  const mends = page.getByRole("list", { name: "Corrections" }).getByRole("listitem");
  await expect(mends).toHaveCount(6);
  await expect(mends.last()).toContainText("Lage: “Full shade” for 5 products");
  await expectAccessible(page);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");

  // A newer file: what was chosen for its columns is remembered, and what is mended is no change.
  await page.getByRole("link", { name: "Import a newer file" }).click();
  await bring(page, "ladenliste-neu.csv", [...rows, row(15, "CREME", "40 cm", "Sun")]);
  await expect(page.getByRole("combobox", { name: "Numbers of Preis are written like" })).toHaveValue(",");
  await page.getByRole("button", { name: "Show what changes" }).click();
  await expect(page.locator("dl > div")).toHaveText(["new1", "changed0", "removed0", "unchanged15"]);
  await page.getByRole("button", { name: "Import this file" }).click();
  await expect(page).toHaveURL(/\/catalogue$/);
  await page.getByRole("button", { name: "Farbe", exact: true }).click();
  await expect(page.getByRole("region", { name: "Spread of Farbe" }).getByRole("row")).toHaveText([
    /^Rose red8/,
    /^Crème8/,
    /^White1/,
  ]);

  // The mended field is suggested as a facet, and shoppers get the mended values.
  await page.getByRole("link", { name: "Panels" }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await awake(wide);
  const more = page.getByRole("button", { name: "More for Farbe" });
  if ((await more.count()) > 0) {
    await more.click();
    await page.getByRole("dialog").getByRole("button", { name: "Remove", exact: true }).click();
  }
  await page.getByRole("button", { name: "Facet or piece" }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Farbe/ })
    .click();
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await wide.getByRole("checkbox", { name: /^Crème/ }).check();
  await expect(wide.getByRole("status")).toHaveText("8 Produkte von 16");
});

test("reading a large file is shown, and can be stopped", async ({ page }) => {
  await page.goto("/new");
  const many = `product_id,title,colour\n${Array.from({ length: 200_000 }, (_, i) => `p${i >> 1},Title ${i >> 1},colour ${i % 50}`).join("\n")}\n`;
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "large.csv", mimeType: "text/csv", buffer: Buffer.from(many) });
  await expect(page.getByRole("progressbar", { name: "Reading" })).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("alert")).toHaveText("Reading was stopped. Nothing was stored.");
  // Again, to the end: the page and its frames ask the server, since this is too much to hold in each.
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "large.csv", mimeType: "text/csv", buffer: Buffer.from(many) });
  await expect(page.getByText("100,000 products, 200,000 variants")).toBeVisible();
  await page.getByRole("button", { name: "Create the shop" }).click();
  await expect(page).toHaveURL(/\/shops\/large\/panels/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await awake(wide);
  await wide.locator("input[type=checkbox]:visible").first().check();
  await expect(wide.getByRole("status")).toHaveText("4,000 products of 100,000");
  await expect(page.getByLabel("Numbers of the page")).toContainText("4,000 of 100,000 found");
  await page.goto("/draft/large/?colour=colour+7");
  await awake(page);
  await expect(page.getByRole("status")).toHaveText("4,000 products of 100,000");
});
