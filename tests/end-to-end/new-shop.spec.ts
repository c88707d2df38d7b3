import { readFileSync } from "node:fs";
import { airportsCsv, carsCsv } from "../open-data.ts";
import { expectAccessible } from "./axe.ts";
import { origin } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

const bring = (page: Page, name: string, text: string | Buffer) =>
  page.getByLabel("Catalogue file").setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
const shopNames = async (page: Page) =>
  ((await (await page.request.get("/api/shops")).json()) as { name: string }[]).map(({ name }) => name);

test("an open data set becomes a shop with a first panel that works", async ({ page }) => {
  await page.goto("/");
  await expectAccessible(page);
  await page.getByRole("link", { name: "New shop from a file" }).click();
  await expectAccessible(page);
  await bring(page, "fine_cars.csv", carsCsv);
  await expect(page.getByText("406 products, 406 variants")).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Shop name" })).toHaveValue("Fine cars");
  await expect(page.getByRole("row", { name: /Horsepower/ })).toContainText("reach 99%");
  await expectAccessible(page);
  await page.getByRole("combobox", { name: "Currency of the prices" }).selectOption("USD");
  await page.getByRole("button", { name: "Create the shop" }).click();

  await expect(page).toHaveURL(/\/shops\/fine-cars\/panels\/first-panel/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await wide.getByRole("checkbox", { name: /^Japan/ }).check();
  // 79 of the 406 cars are Japanese: a fact of the data set.
  await expect(wide.getByRole("status")).toHaveText("79 products of 406");

  await page.getByRole("link", { name: "Catalogue" }).click();
  await expect(page.getByRole("row", { name: /^Origin/ })).toContainText("USA, Japan, Europe");
  await expectAccessible(page);
});

test("a file with other headings is guessed, and columns can be chosen where the guess fails", async ({ page }) => {
  await page.goto("/new");
  await bring(page, "airports.csv", airportsCsv);
  // iata is no heading for a product id that anyone would guess, so rows are numbered; name is one for a title.
  await expect(page.getByText("3,376 products, 3,376 variants")).toBeVisible();
  const grouped = page.getByRole("combobox", { name: "Group rows into products by" });
  await expect(grouped.locator("option:checked")).toHaveText("nothing: one product per row");
  await grouped.selectOption("state");
  await expect(page.getByText(/^\d\d products, 3,376 variants/)).toBeVisible();
  await grouped.selectOption("iata");
  await expect(page.getByText("3,376 products, 3,376 variants")).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Use iata as" })).toHaveValue("product_id");
  await expect(page.getByRole("combobox", { name: "Product titles come from" }).locator("option:checked")).toHaveText(
    "name",
  );
  await expect(page.getByRole("combobox", { name: "Use name as" })).toHaveValue("title");
  await page.getByRole("button", { name: "Create the shop" }).click();
  await expect(page).toHaveURL(/\/shops\/airports\/panels/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.getByRole("status")).toHaveText("3,376 products");
});

test("problems are listed by kind, each with its rows, and the good rows can be taken", async ({ page }) => {
  await page.goto("/new");
  await bring(
    page,
    "mixed.csv",
    "product_id,title,price,colour\np1,One,cheap,red\n,Two,3,red\np3,Three,4,blue,extra\np4,Four,5,blue\n",
  );
  const problems = page.getByRole("region", { name: "Problems" });
  const kinds = problems.getByRole("listitem");
  await expect(kinds).toHaveCount(3);
  await expect(kinds.filter({ hasText: "price: This is not a number" })).toContainText("row 2 “cheap”");
  await expect(kinds.filter({ hasText: "product_id: The product id is empty" })).toContainText("row 3");
  await expect(kinds.filter({ hasText: "This row has 5 cells and the header has 4" })).toContainText("row 4");
  await expect(page.getByText("2 products, 2 variants")).toBeVisible();

  const [file] = await Promise.all([
    page.waitForEvent("download"),
    problems.getByRole("button", { name: "As CSV" }).click(),
  ]);
  const lines = readFileSync(await file.path(), "utf8").split("\r\n");
  expect(lines[0]).toBe("row,column,value,message");
  expect(lines.slice(1).map((line) => line.split(",").slice(0, 3))).toEqual([
    ["2", "price", "cheap"],
    ["3", "product_id", ""],
    ["4", "", ""],
  ]);
});

test("a file that is not UTF-8 is read by a guess, which shows its words and can be changed", async ({ page }) => {
  await page.goto("/new");
  // Windows-1252: €, ß and ü; as Windows-1251, Ђ, Я and ь.
  const bytes = Buffer.concat([
    Buffer.from("id;Titel;Farbe;Preis\n1;Jacke;wei"),
    Buffer.from([0xdf]),
    Buffer.from(";9,50 "),
    Buffer.from([0x80]),
    Buffer.from("\n2;Hose;gr"),
    Buffer.from([0xfc]),
    Buffer.from("n;20,00 "),
    Buffer.from([0x80]),
    Buffer.from("\n"),
  ]);
  await bring(page, "sheet.csv", bytes);
  const choice = page.getByRole("combobox", { name: "Text encoding" });
  await expect(choice).toHaveValue("windows-1252");
  await expect(page.getByText("weiß · grün")).toBeVisible();
  await expect(page.getByText("2 products, 2 variants")).toBeVisible();
  await choice.selectOption("windows-1251");
  await expect(page.getByText("weiЯ · Ђ · grьn")).toBeVisible();
  await choice.selectOption("utf-16le");
  await expect(page.getByRole("alert").first()).toContainText(/The text is not UTF-16|header row|column/);
  await choice.selectOption("windows-1252");
  await expect(page.getByText("weiß · grün")).toBeVisible();
  await page.getByRole("button", { name: "Create the shop" }).click();
  await page.waitForURL(/\/shops\/sheet/);
  const shop = page.url().match(/shops\/([^/]+)/)?.[1] ?? "";
  const answer = await page.request.get(`/draft/${shop}/`);
  expect(await answer.text()).toContain("weiß");
});

test("a German file makes a German shop, and rows that share an article number are offered as variants", async ({
  page,
}) => {
  await page.goto("/new");
  const rows = Array.from({ length: 12 }, (_, p) =>
    ["S", "M"].map((size, v) => `A${100 + p};A${100 + p}-${v};Hemd ${p % 11};Hemden;${size};${19 + p},50 €`),
  ).flat();
  const header = "Artikelgruppe;Artikelnummer;Bezeichnung;Warengruppe;Größe;Preis";
  await bring(page, "hemden.csv", `${[header, ...rows].join("\n")}\n`);
  await expect(page.getByText("24 products, 24 variants")).toBeVisible();
  await expect(page.getByRole("note")).toContainText("Rows with the same Artikelgruppe differ only in");
  await page.getByRole("button", { name: "Group these rows" }).click();
  await expect(page.getByText("12 products, 24 variants")).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Shop language" })).toHaveValue("de");
  await page.getByRole("button", { name: "Create the shop" }).click();
  await page.waitForURL(/\/shops\/hemden/);
  const shop = page.url().match(/shops\/([^/]+)/)?.[1] ?? "";
  const drawn = await (await page.request.get(`/draft/${shop}/`)).text();
  expect(drawn).toContain('lang="de"');
  expect(drawn).toMatch(/19,50\s€/);
  expect(drawn).toContain("12 Produkte");
});

test("a file that cannot be taken says what, where and what to do, and nothing is created", async ({ page }) => {
  await page.goto("/new");
  const latin = Buffer.concat([
    Buffer.from("product_id,title\np1,One\np2,caf"),
    Buffer.from([0xe9]),
    Buffer.from("\n"),
  ]);
  const many = `product_id,title\n${Array.from({ length: 500_001 }, (_, i) => `p${i},T`).join("\n")}\n`;
  const notUtf8: [string, string | Buffer, RegExp][] = [
    ["latin.csv", latin, /Row 3: The text is not UTF-8/],
    ["utf16.csv", Buffer.from("\ufeffproduct_id,title\n", "utf16le"), /UTF-16/],
  ];
  const cases: [string, string | Buffer, RegExp][] = [
    ["quotes.csv", 'product_id,title\np1,"One\n', /Row 2: A quotation mark is opened here and never closed/],
    ["empty.csv", "", /The file is empty/],
    ["header.csv", "product_id,title\n", /no products below the header/],
    ["many.csv", many, /Row 500002: The file has more than 500,000 rows, the most that a catalogue can have\. Split/],
    ["twice.csv", "product_id,title,Size,size\np1,One,1,2\n", /appears twice/],
    ["picture.csv", Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]), /not UTF-8|not a text file/],
  ];
  for (const [name, content, message] of [...cases, ...notUtf8]) {
    // The page reads other encodings than UTF-8 and sends what it has read.
    if (!notUtf8.some(([other]) => other === name)) {
      await bring(page, name, content);
      await expect(page.getByRole("alert").first()).toContainText(message);
    }
    // The server judges by itself, whatever the page has said.
    const answer = await page.request.post("/api/shops", {
      headers: origin,
      multipart: {
        file: { name, mimeType: "text/csv", buffer: Buffer.from(content) },
        name: "Broken",
        currency: "EUR",
      },
    });
    expect([name, answer.status()]).toEqual([name, 422]);
    expect((await answer.json()).error).toMatch(message);
  }
  // Other tests make shops meanwhile; this one would have made some under these names.
  const made = new Set(
    ["Broken", ...[...cases, ...notUtf8].map(([name]) => name.replace(".csv", ""))].map((name) => name.toLowerCase()),
  );
  expect((await shopNames(page)).filter((name) => made.has(name.toLowerCase()))).toEqual([]);
});

test("text of a catalogue never runs, in the tool or on the shop page", async ({ page }) => {
  const evil = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>';
  const cell = (text: string) => `"${text.replaceAll('"', '""')}"`;
  const rows = [1, 2, 3, 4].map((n) =>
    [
      `p${n}`,
      cell(`${evil}${n}`),
      cell(n % 2 ? evil : "</script><script>window.ran=1</script>"),
      "javascript:window.ran=1",
    ].join(","),
  );
  const csv = `product_id,title,${cell(`Colour ${evil}`)},image\n${rows.join("\n")}\n`;
  let dialogs = 0;
  page.on("dialog", () => dialogs++);
  await page.goto("/new");
  await bring(page, "evil.csv", csv);
  await page.getByRole("textbox", { name: "Shop name" }).fill('</script><script>window.ran=1</script>"><b>x');
  await page.getByRole("button", { name: "Create the shop" }).click();
  await expect(page).toHaveURL(/\/panels\/first-panel/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await expect(wide.locator(".zs-card").first()).toContainText("<img src=x");
  await expect(wide.locator(".zs-card img")).toHaveCount(0);
  await expect(wide.getByRole("checkbox").first()).toBeVisible();
  const slug = page.url().match(/shops\/([^/]+)/)?.[1];
  for (const address of [page.url(), `/shops/${slug}/catalogue`, `/draft/${slug}/`, "/"]) {
    await page.goto(address);
    await page.waitForLoadState("networkidle");
    for (const frame of page.frames()) expect(await frame.evaluate(() => "ran" in window)).toBe(false);
  }
  expect(dialogs).toBe(0);
});
