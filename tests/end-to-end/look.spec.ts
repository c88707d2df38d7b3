import { readFileSync } from "node:fs";
import { expectAccessible } from "./axe.ts";
import { newShop, openBench, origin, saveShop } from "./bench.ts";
import { expect, type Locator, type Page, test } from "./test.ts";

/** A shop's own style sheet, made up: its accent is too pale for white text. */
const shopCss = `
:root { --brand: #6fbf9a; --ink: #2b2a33; }
body { font-family: Georgia, serif; color: var(--ink); background: #fbfaf7; font-size: 17px; }
a { color: #14606e; }
.button { background: var(--brand); color: #ffffff; border-radius: 9px; padding: 10px 18px; }
input, select { border: 1px solid #c9c6bf; border-radius: 9px; height: 42px; }
`;

const asFile = (name: string, text: string, mimeType = "text/css") => ({ name, mimeType, buffer: Buffer.from(text) });
const computed = (part: Locator, property: string): Promise<string> =>
  part.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
const saved = (page: Page) => expect(page.locator("header").getByRole("status")).toHaveText("Saved");

/** Makes a look in a shop. @returns its place in addresses */
async function makeLook(page: Page, shop: string, look: object = {}): Promise<string> {
  const document = { format: 1, name: "House", values: {}, dark: {}, styles: [], css: "", ...look };
  const made = await page.request.post(`/api/shops/${shop}/documents/look`, { data: { document }, headers: origin });
  expect(made.status(), await made.text()).toBe(201);
  const { slug } = await made.json();
  await saveShop(page.request, shop, { look: slug });
  return slug;
}

test("a look is read from the shop's style sheet, shown with where, mended, and drawn on the shop's pages", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Read");
  await page.goto(`/shops/${shop}/look`);
  await page.getByRole("button", { name: /From the shop’s style sheet/ }).click();
  await page.getByLabel("The shop’s style sheets, page or picture").setInputFiles(asFile("shop.css", shopCss));
  const read = page.getByRole("list", { name: "What was read" });
  await expect(read).toContainText("shop.css, line 3: body { color }");
  await expect(read).toContainText("#2b2a33");
  await page.getByRole("button", { name: "Create look" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the look" })).toHaveValue("From the shop");

  // 2.2:1 of white on the brand's colour is told, with what passes.
  await page.getByRole("tab", { name: /^Findings \d/ }).click();
  const misses = page.getByRole("list", { name: "Findings" });
  await expect(misses).toContainText("needs 4.5:1");
  const before = await misses.getByRole("button", { name: /^Fix/ }).count();
  await misses.getByRole("button", { name: /^Fix/ }).first().click();
  await expect.poll(() => misses.getByRole("button", { name: /^Fix/ }).count()).toBeLessThan(before);
  await page.getByRole("button", { name: "Fix all" }).click();
  await expect(page.getByRole("tab", { name: "Findings", exact: true })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("tab", { name: /^Findings \d/ })).toBeVisible();
  await page.getByRole("button", { name: "Fix all", exact: true }).click();
  await expect(page.getByRole("tab", { name: "Findings", exact: true })).toBeVisible();
  // The tool's verdict is confirmed by an independent audit, in all states that it can see.
  await expectAccessible(page);
  const use = page.getByRole("button", { name: "Use for the shop" });
  if (await use.isVisible()) await use.click();
  await saved(page);

  await page.goto(`/draft/${shop}/`);
  expect(await computed(page.locator(".zs-shop").first(), "font-family")).toContain("Georgia");
  expect(await computed(page.locator(".zt-panel").first(), "color")).toBe("rgb(43, 42, 51)");
  await expectAccessible(page);
});

test("an option style is made on the sheet, given to two facets, set apart on the stage, and given back", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Styled");
  const slug = await makeLook(page, shop);
  await page.goto(`/shops/${shop}/look/${slug}`);
  await page.getByRole("tab", { name: "Option styles" }).click();
  await page.getByRole("button", { name: "New option style" }).click();
  await page.getByRole("tab", { name: "Part" }).click();
  await page.locator('[data-specimen="tiles rest"]').locator(".zt-tile").first().click();
  const card = page.getByRole("region", { name: "Tile" });
  await card.getByRole("textbox", { name: "Corner radius" }).fill("17");
  await card.getByRole("textbox", { name: "Corner radius" }).press("Enter");
  const specimen = page.locator('[data-specimen="tiles rest"]').locator(".zt-tile").first();
  await expect.poll(() => computed(specimen, "border-top-left-radius")).toBe("17px");
  await saved(page);

  const bench = await openBench(page, true, shop);
  for (const name of ["Light", "Hardiness", "Brand"]) {
    await bench.addFacet(name);
    await bench.choose(name, "wide", "Tiles");
  }
  const tile = (row: string, at: "wide" | "phone" = "wide") =>
    bench[at].locator(`[data-row="f-${row}"] .zt-tile`).first();
  for (const name of ["Light", "Hardiness"]) {
    await page.getByRole("button", { name: `Settings of ${name}` }).click();
    await page.getByRole("tab", { name: "style" }).click();
    await page.getByRole("combobox", { name: `Option style of ${name}` }).selectOption({ label: "Style 1" });
    await page.getByRole("button", { name: `Settings of ${name}` }).click();
  }
  const radius = (row: string, at: "wide" | "phone" = "wide") => computed(tile(row, at), "border-top-left-radius");
  await expect.poll(() => radius("light")).toBe("17px");
  await expect.poll(() => radius("hardiness")).toBe("17px");
  await expect.poll(() => radius("light", "phone")).toBe("17px");
  const plain = await radius("brand");
  expect(plain).not.toBe("17px");

  // One setting of one facet, at the part itself; nothing is drawn anew.
  await bench.wide.locator("html").evaluate(() => Object.assign(window, { sameDocument: true }));
  await page.keyboard.press("a");
  await tile("brand").click({ force: true });
  const styling = page.getByRole("dialog", { name: "Style of Brand" });
  await styling.getByRole("textbox", { name: "Corner radius" }).fill("3");
  await styling.getByRole("textbox", { name: "Corner radius" }).press("Enter");
  await expect.poll(() => radius("brand")).toBe("3px");
  await expect.poll(() => radius("brand", "phone")).toBe("3px");
  expect(await radius("light")).toBe("17px");
  expect(await bench.wide.locator("html").evaluate(() => "sameDocument" in window)).toBe(true);
  await styling.getByRole("button", { name: "Reset Corner radius" }).click();
  await expect.poll(() => radius("brand")).toBe(plain);
  await styling.getByRole("button", { name: "Close" }).click();

  // A style that is removed is a finding, and uses the new file in one step.
  await bench.saved();
  const path = `/api/shops/${shop}/documents/look/${slug}`;
  const { version, document } = await (await page.request.get(path)).json();
  const data = { version, document: { ...document, styles: [] } };
  expect((await page.request.put(path, { data, headers: origin })).status()).toBe(200);
  await page.reload();
  await page.getByRole("button", { name: /\d findings?$/ }).click();
  const finding = page.getByRole("listitem").filter({ hasText: "Light uses the option style" });
  await finding.getByRole("button", { name: "Remove the style" }).click();
  await expect(finding).toHaveCount(0);
});

test("extra CSS is checked while it is typed, and stays in the panel", async ({ page }) => {
  const shop = await newShop(page.request, "Own CSS");
  const slug = await makeLook(page, shop);
  await page.goto(`/shops/${shop}/look/${slug}`);
  await page.getByRole("tab", { name: "CSS", exact: true }).click();
  const editor = page.getByRole("textbox", { name: "Extra CSS" });
  const status = page.getByRole("tabpanel", { name: "CSS" }).getByRole("status");
  for (const hostile of [
    "@import 'https://else.example/a.css';",
    "& a { background: url(javascript:alert(1)) }",
    "& + .zs-header { display: none }",
    "& .zt-tile { color: red",
  ]) {
    await editor.fill("& .zt-title { letter-spacing: 2px }");
    await expect(status).toHaveText("Applied.");
    await editor.fill(hostile);
    await expect(status).toHaveText(/^\d errors?\. The last valid CSS stays in use\.$/);
    await expect(page.locator(".cm-lint-marker-error").first()).toBeVisible();
  }
  await editor.fill("body { display: none }");
  await expect(page.locator(".cm-lint-marker-warning")).toBeVisible();
  await editor.fill(
    "body { display: none }\n& .zt-title { letter-spacing: 3px }\n& :is(html, body, .zs-header) { display: none }",
  );
  const stored = async () =>
    (await (await page.request.get(`/api/shops/${shop}/documents/look/${slug}`)).json()).document.css;
  await expect.poll(stored).toContain("3px");
  await page.goto(`/draft/${shop}/`);
  expect(await computed(page.locator(".zt-panel .zt-title").first(), "letter-spacing")).toBe("3px");
  await expect(page.locator("body")).toBeVisible();
});

test("a look leaves as design tokens and as custom properties, and comes in again as it was; broken files are told", async ({
  page,
}, testInfo) => {
  const shop = await newShop(page.request, "Out and in");
  const values = {
    accent: { wide: "#7a3b69" },
    "tile.radius": { wide: 3, slim: 11 },
    "tile.ground.chosen": { wide: "{accent}" },
  };
  const slug = await makeLook(page, shop, { values, dark: { accent: "#e3b5d5" } });
  await page.goto(`/shops/${shop}/look/${slug}`);
  await page.getByRole("tab", { name: "Files" }).click();
  const documentOf = async (name: string) =>
    (await (await page.request.get(`/api/shops/${shop}/documents/look/${name}`)).json()).document;
  const input = page.getByLabel("File of tokens");
  for (const [button, ending] of [
    ["Design tokens", "tokens.json"],
    ["CSS custom properties", "css"],
  ] as const) {
    const download = page.waitForEvent("download");
    await page.getByRole("button", { name: button }).click();
    const path = testInfo.outputPath(`house.${ending}`);
    await (await download).saveAs(path);
    const other = await makeLook(page, shop, { name: `Other ${ending}`, values: { accent: { wide: "#000000" } } });
    await page.goto(`/shops/${shop}/look/${other}`);
    await page.getByRole("tab", { name: "Files" }).click();
    await input.setInputFiles(path);
    await expect(page.getByText(/was imported\. Undo restores/)).toBeVisible();
    await saved(page);
    expect(readFileSync(path, "utf8").length).toBeGreaterThan(100);
    expect((await documentOf(other)).values).toEqual(values);
    expect((await documentOf(other)).dark).toEqual({ accent: "#e3b5d5" });
  }
  for (const [text, told] of [
    ["{ ", "Line 1: This is not valid JSON: Close brace expected."],
    [
      '{ "a": { "$type": "color", "$value": "{b}" }, "b": { "$type": "color", "$value": "{a}" } }',
      "Line 1: “a” refers to itself",
    ],
  ] as const) {
    await input.setInputFiles(asFile("broken.tokens.json", text, "application/json"));
    await expect(page.getByRole("alert")).toContainText(told);
  }
});

test("a panel has a look of its own beside the shop's, light and dark", async ({ page }) => {
  const shop = await newShop(page.request, "Two looks");
  await makeLook(page, shop, { values: { "title.size": { wide: 21 } } });
  const own = await makeLook(page, shop, {
    name: "Own",
    values: { "title.size": { wide: 31 }, ink: { wide: "#102030" } },
    dark: { ink: "#f0e0d0" },
  });
  await saveShop(page.request, shop, { look: "house" });
  const bench = await openBench(page, true, shop);
  await bench.addFacet("Light");
  const title = (at: "wide" | "phone") => bench[at].locator(".zt-title").first();
  await expect.poll(() => computed(title("wide"), "font-size")).toBe("21px");
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  await page.getByRole("combobox", { name: "Look of the panel" }).selectOption(own);
  await expect.poll(() => computed(title("wide"), "font-size")).toBe("31px");
  await expect.poll(() => computed(title("phone"), "font-size")).toBe("31px");
  await bench.saved();

  await page.emulateMedia({ colorScheme: "dark" });
  await page.goto(`/draft/${shop}/?panel=${bench.slug}`);
  expect(await computed(page.locator(".zt-title").first(), "color")).toBe("rgb(240, 224, 208)");
  await page.emulateMedia({ colorScheme: "light" });
  expect(await computed(page.locator(".zt-title").first(), "color")).toBe("rgb(16, 32, 48)");
});
