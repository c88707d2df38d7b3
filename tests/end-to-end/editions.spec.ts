import { readFileSync } from "node:fs";
import { unzipSync } from "fflate";
import { unzipFolder, zipFolder } from "../../src/core/shop/archive/zip.ts";
import { expectAccessible } from "./axe.ts";
import { newShop, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

interface Row {
  id: string;
  label: string;
}

/** Changes the rows of a shop's first panel. */
async function changeRows(page: Page, shop: string, change: (rows: Row[]) => Row[]): Promise<void> {
  const path = `/api/shops/${shop}/documents/panel/first-panel`;
  const { version, document } = await (await page.request.get(path)).json();
  const data = { version, document: { ...document, rows: change(document.rows) } };
  expect((await page.request.put(path, { data, headers: origin })).status()).toBe(200);
}

const publish = async (page: Page, shop: string, note: string): Promise<number> =>
  (await page.request.post(`/api/shops/${shop}/editions`, { data: { note }, headers: origin })).status();

/** The facets of a page that is awake: before, it has a copy for each group of bands. */
async function titles(page: Page): Promise<string[]> {
  await awake(page);
  return page.locator(".zt-panel .zt-title").allTextContents();
}

test("shoppers get what was published, and the draft only when it is; the draft says what it is", async ({ page }) => {
  const shop = await newShop(page.request, "Published");
  const unpublished = await page.goto(`/shop/${shop}/`);
  expect(unpublished?.status()).toBe(404);
  await expect(page.getByText("Published isn’t published yet")).toBeVisible();
  await page.goto(`/draft/${shop}/`);
  await expect(page.getByRole("complementary", { name: "State of this page" })).toContainText("Draft, not published");
  const before = await titles(page);

  expect(await publish(page, shop, "The first")).toBe(201);
  // Nothing is another, so there is nothing to publish.
  expect(await publish(page, shop, "Again")).toBe(409);
  await changeRows(page, shop, (rows) => [...rows].reverse());
  await page.goto(`/shop/${shop}/`);
  expect(await titles(page)).toEqual(before);
  await expect(page.getByRole("complementary", { name: "State of this page" })).toHaveCount(0);
  await expectAccessible(page);
  // Choices there are answered from the edition as well.
  await page.locator(".zt-panel input[type=checkbox]").first().check();
  await expect(page).toHaveURL(new RegExp(`/shop/${shop}/\\?`));
  await page.goto(`/draft/${shop}/`);
  expect(await titles(page)).toEqual([...before].reverse());

  expect(await publish(page, shop, "Turned round")).toBe(201);
  await page.goto(`/shop/${shop}/`);
  expect(await titles(page)).toEqual([...before].reverse());
  await page.goto(`/edition/${shop}/1/`);
  expect(await titles(page)).toEqual(before);
  await expect(page.getByRole("complementary", { name: "State of this page" })).toContainText("Edition 1");
  expect((await page.goto(`/edition/${shop}/9/`))?.status()).toBe(404);
});

test("a designer reads what is another, sees both pages, publishes, and brings an edition back as a step", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Differing");
  await publish(page, shop, "The first");
  let removed = "";
  await changeRows(page, shop, ([first, second, ...rest]) => {
    removed = first?.id ?? "";
    return second ? [{ ...second, label: "Something else" }, ...rest] : rest;
  });
  await page.goto(`/shops/${shop}/editions`);
  await expect(page.getByText("2 changes not published yet.")).toBeVisible();
  const list = page.locator("dl[aria-label=Differences]");
  await expect(list).toContainText("was removed.");
  await expect(list).toContainText("has the label “Something else”.");
  await expectAccessible(page);

  // A choice on one page is a choice on the other.
  const [before, after] = [page.frameLocator('iframe[title="Edition 1"]'), page.frameLocator('iframe[title="Draft"]')];
  await awake(before);
  await awake(after);
  await expect(after.getByText("Something else", { exact: true })).toBeVisible();
  await after.locator(".zt-panel input[type=checkbox]").first().check();
  await expect(before.locator(".zt-panel input[type=checkbox]:checked")).toHaveCount(1);

  await page.getByLabel("Note").fill("Renamed");
  await page.getByRole("button", { name: "Publish edition 2" }).click();
  await expect(page.getByText("Up to date: shoppers see edition 2.")).toBeVisible();
  await expect(page.getByRole("list", { name: "Published editions" })).toContainText("Renamed");

  await page.getByRole("button", { name: "Restore edition 1" }).click();
  await expect(page.getByText(/changes? not published yet\./)).toBeVisible();
  const stored = async () =>
    (await (await page.request.get(`/api/shops/${shop}/documents/panel/first-panel`)).json()) as {
      document: { rows: Row[] };
      history: { steps: { words: string }[] };
    };
  const { document, history } = await stored();
  expect(document.rows[0]?.id).toBe(removed);
  expect(history.steps.at(-1)?.words).toBe("Restore edition 1");
  await page.goto(`/shops/${shop}/panels/first-panel`);
  await page.getByRole("button", { name: "Undo: Restore edition 1" }).click();
  await expect.poll(async () => (await stored()).document.rows[0]?.id).not.toBe(removed);
});

test("editions are asked for by what they are", async ({ page }) => {
  const shop = await newShop(page.request, "Asked");
  for (const [path, status] of [
    [`/api/shops/${shop}/differences?from=1&to=draft`, 404],
    [`/api/shops/${shop}/differences?from=draft&to=x`, 400],
    [`/api/shops/${shop}/data?edition=7`, 404],
    [`/api/shops/${shop}/data?edition=%00`, 404],
    [`/edition/${shop}/%00/`, 404],
    [`/edition/${shop}/1e3/`, 404],
  ] as const)
    expect((await page.request.get(path)).status(), path).toBe(status);
  const long = { data: { note: "x".repeat(501) }, headers: origin };
  expect((await page.request.post(`/api/shops/${shop}/editions`, long)).status()).toBe(400);
});

test("a shop leaves as a zipped folder and comes in again as another shop; what is broken is told with its line", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Packed");
  await page.goto("/");
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Packed as a folder" }).click();
  const path = await (await download).path();
  await page.getByLabel("Shop folder as a ZIP").setInputFiles({
    name: "packed.zip",
    mimeType: "application/zip",
    buffer: readFileSync(path),
  });
  await expect(page).toHaveURL(/\/shops\/packed-2\/panels/);
  const documentOf = async (of: string) =>
    (await (await page.request.get(`/api/shops/${of}/documents/panel/first-panel`)).json()).document;
  expect(await documentOf("packed-2")).toEqual(await documentOf(shop));

  const files = new Map(unzipFolder(new Uint8Array(readFileSync(path))));
  files.set("pages.json", new TextEncoder().encode('{\n  "format": 1,\n  "run": "alert(1)"\n}'));
  await page.goto("/");
  await page.getByLabel("Shop folder as a ZIP").setInputFiles({
    name: "broken.zip",
    mimeType: "application/zip",
    buffer: Buffer.from(zipFolder(files)),
  });
  await expect(page.getByRole("alert")).toContainText("pages.json, line");
  await expectAccessible(page);
});

test("a panel's file is brought from another shop: facets are matched, corrected, and what is left out is told", async ({
  page,
}) => {
  const pots =
    "product_id,title,Pot colour,Height,Light needed,price\n" +
    ["a,Ada,Moss,12,shade,10", "b,Bea,Brick,30,half shade,12", "c,Cleo,Moss,9,full sun,8"].join("\n");
  const shop = await newShop(page.request, "Pottery", pots);
  const { document } = await (
    await page.request.get("/api/shops/larkmoss-nursery/documents/panel/climber-finder")
  ).json();
  await page.goto(`/shops/${shop}/panels/first-panel`);
  await page.getByRole("button", { name: "New panel" }).click();
  const file = page.getByLabel("File of a panel");
  await file.setInputFiles({ name: "x.json", mimeType: "application/json", buffer: Buffer.from("{ no") });
  await expect(page.getByRole("alert")).toContainText("x.json is not valid JSON");
  await file.setInputFiles({ name: "x.json", mimeType: "application/json", buffer: Buffer.from('{"format":3}') });
  await expect(page.getByRole("alert")).toContainText("x.json is not a panel");
  await file.setInputFiles({
    name: "climber-finder.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ $schema: "../schemas/panel.json", ...document })),
  });
  const list = page.getByRole("list", { name: "Facets and their fields here" });
  await expect(page.getByLabel("Field for price")).toHaveValue("price");
  await expect(page.getByLabel("Field for mature-height")).toHaveValue("height");
  await expect(page.getByLabel("Field for pet-safe")).toHaveValue("");
  await expect(list).toContainText("100% sure: the same name");
  await page.getByLabel("Field for flower-colour").selectOption("pot-colour");
  await page.getByRole("button", { name: "Import panel" }).click();
  await expect(page.getByRole("list", { name: "What can’t be copied" })).toContainText("pet-safe: no similar field.");
  await page.getByRole("button", { name: "Create panel without these" }).click();
  await expect(page).toHaveURL(/panels\/climber-finder/);
  const made = await (await page.request.get(`/api/shops/${shop}/documents/panel/climber-finder`)).json();
  const fields = made.document.rows.flatMap((row: { field?: string; kind: string }) =>
    row.kind === "facet" ? [row.field] : [],
  );
  expect(fields).toEqual(expect.arrayContaining(["pot-colour", "height", "price"]));
  expect(fields).not.toContain("pet-safe");
});

test("the way onto a site: settings that are undone like all others, sizes, snippets, and the files as a zip", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Handed over");
  await publish(page, shop, "First");
  await page.goto(`/shops/${shop}/editions`);
  await page.getByRole("button", { name: "Handoff" }).click();
  await expect(page.getByText(/Gzipped: script [\d.]+ kB for \d+ displays/)).toBeVisible();
  const head = page.getByRole("region", { name: "In the head of each page" });
  // The line that stays comes first.
  await expect(head).toContainText('src="/trellis/trellis.js"');
  await expect(page.getByRole("region", { name: "With our listing" })).toContainText(
    '<trellis-panel name="first-panel"></trellis-panel>',
  );
  const pages = page.getByRole("combobox", { name: "Page", exact: true });
  await pages.selectOption({ index: 1 });
  const address = await pages.inputValue();
  await expect(page.getByRole("region", { name: "With our listing" })).toContainText(`page="${address}"`);
  await page.getByText("Markup in the page", { exact: true }).click();
  await expect(page.getByRole("region", { name: "With our listing" })).toContainText(
    `virtual="/trellis/pages${address}/first-panel.html"`,
  );
  await expect(head).toContainText("integrity=");

  await page.getByRole("textbox", { name: "Files are at" }).fill("/elsewhere/");
  await page.getByRole("textbox", { name: "Files are at" }).press("Enter");
  await expect(head).toContainText('src="/elsewhere/trellis.');
  await page.getByRole("textbox", { name: "Choices go to" }).fill("javascript:alert(1)");
  await page.getByRole("textbox", { name: "Choices go to" }).press("Enter");
  await expect(page.getByRole("alert")).toContainText("Choices can’t go to “javascript:alert(1)”");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.getByText("Names in queries").click();
  await page.getByRole("textbox", { name: "Search words in queries" }).fill("words");
  await page.getByRole("textbox", { name: "Search words in queries" }).press("Enter");
  await expect(page.getByText("Names in queries (1 changed)")).toBeVisible();
  await expect(head).toContainText('src="/elsewhere/trellis.');

  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Download edition 1" }).click();
  const file = await (await download).path();
  const files = unzipSync(new Uint8Array(readFileSync(file)));
  expect(Object.keys(files)).toEqual(expect.arrayContaining(["trellis.json", "head.html", "README.md", "try.html"]));
  expect(new TextDecoder().decode(files["README.md"])).toContain("`words`");
  await expectAccessible(page);
});
