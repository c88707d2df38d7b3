import { readFileSync } from "node:fs";
import { flowerColours } from "../../demo/nursery.ts";
import type { SwatchDocument } from "../../src/core/swatch/book-schema.ts";
import { deltaE } from "../../src/core/swatch/measure.ts";
import { expectAccessible } from "./axe.ts";
import { demoShop } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

const evil = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8" onload="window.ran=1"><script>window.ran=1</script>
<rect width="8" height="8" fill="#e2571e"/><image href="https://x.example/spy.png"/></svg>`;
const svgFile = (name: string, text = evil) => ({ name, mimeType: "image/svg+xml", buffer: Buffer.from(text) });
const rowOf = (page: Page, value: string) => page.getByRole("row", { name: new RegExp(`^${value} `) });
const saved = (page: Page) => expect(page.locator("header").getByRole("status")).toHaveText("Saved");
const bookOf = async (page: Page, shop: string): Promise<SwatchDocument> =>
  (await (await page.request.get(`/api/shops/${shop}/documents/swatches`)).json()).document;

test("a new shop's book fills itself, is corrected by hand, and its panel follows", async ({ page }) => {
  await page.goto("/new");
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "gable-plants.csv", mimeType: "text/csv", buffer: readFileSync("demo/nursery.csv") });
  await page.getByRole("button", { name: "Create the shop" }).click();
  await expect(page).toHaveURL(/\/shops\/gable-plants\/panels/);
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  const swatch = (name: string) =>
    wide.locator("label", { has: page.getByRole("checkbox", { name: new RegExp(`^${name}`) }) }).locator(".zt-dot");
  await expect(swatch("Midnight blue")).toHaveAttribute("style", /rgb\(25, 25, 112\)|#191970/);
  // A value whose name says nothing is its text, never blank.
  await expect(swatch("Moonlit")).toHaveCount(0);
  await expect(wide.locator("label", { has: page.getByRole("checkbox", { name: /^Moonlit/ }) })).toContainText(
    "Moonlit",
  );

  await page.getByRole("link", { name: "Swatch book" }).click();
  await page.getByRole("link", { name: /^Flower colour/ }).click();
  await expect(rowOf(page, "Moonlit")).toContainText("no swatch: text");
  await expect(page.getByRole("complementary", { name: "Measured" })).toContainText("Moonlit");
  await expectAccessible(page);

  await page.getByRole("button", { name: "Read pictures" }).click();
  await expect(page.getByText("Colours for 17 of 17 values.")).toBeVisible({ timeout: 120_000 });
  await saved(page);
  // Found against the colours that the pictures are drawn from.
  const { photos } = await bookOf(page, "gable-plants");
  const drawn = flowerColours.flatMap(([name, colours]) => colours.map((colour) => ({ name, colour })));
  const right = drawn.filter(({ name, colour }) =>
    photos["flower-colour"][name.toLowerCase()].colours.some((found) => deltaE(found, colour) <= 5),
  );
  expect(right.length / drawn.length).toBeGreaterThanOrEqual(0.95);

  // Guesses from pictures come before those from names, and all are used at once.
  await page.getByRole("button", { name: "Colour sources" }).click();
  await page.getByRole("button", { name: "Move Colours from product pictures up" }).click();
  await page.keyboard.press("Escape");
  await expect(rowOf(page, "Violet")).toContainText("from pictures");
  await page.getByRole("button", { name: "Use 17 guesses" }).click();
  await expect(page.getByRole("textbox", { name: "Colours of Violet", exact: true })).toHaveValue("#6b3fa0");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("textbox", { name: "Colours of Violet", exact: true })).toHaveValue("");
  await page.getByRole("button", { name: "Redo" }).click();

  // By hand: any CSS colour, from row to row by the keyboard; a word that is none says so.
  const mixed = page.getByRole("textbox", { name: "Colours of White / pink", exact: true });
  await mixed.fill("oklch(0.98 0.01 100) hotpink");
  await mixed.press("Enter");
  await expect(mixed).not.toBeFocused();
  await expect(mixed).toHaveValue(/^#[0-9a-f]{6} #ff69b4$/);
  await mixed.fill("sage");
  await mixed.blur();
  await expect(rowOf(page, "White / pink").getByRole("alert")).toContainText("This is not a colour");
  await mixed.fill("#fff hotpink");
  await mixed.blur();
  await page.getByRole("button", { name: "White / pink drawn in sectors, change to stripes" }).click();

  // A picture that tries to run script is cleaned; one that is none is refused.
  await page.getByLabel("Pictures by file name").setInputFiles([svgFile("Ember.svg"), svgFile("nobody.svg")]);
  await expect(page.getByText("1 picture taken; no value has the name nobody.svg.")).toBeVisible();
  await expect(rowOf(page, "Ember")).toContainText("own picture");
  await page.getByRole("textbox", { name: "Alternative text of Ember" }).fill("Glowing orange");
  await page.getByRole("textbox", { name: "Alternative text of Ember" }).blur();
  await page.getByLabel("Picture for Moonlit").setInputFiles(svgFile("moonlit.svg", "<html><script>1</script></html>"));
  await expect(page.getByText("moonlit.svg: This is not a PNG, JPEG, WebP or SVG.")).toBeVisible();
  await saved(page);
  const ember = (await bookOf(page, "gable-plants")).shared.ember.picture ?? "";
  const kept = await page.request.get(ember);
  expect(await kept.text()).not.toMatch(/script|onload|x\.example/);
  expect(kept.headers()["content-security-policy"]).toContain("sandbox");

  // The panel has it all.
  await page.getByRole("link", { name: "Panels" }).click();
  await awake(wide);
  await expect(swatch("White / pink")).toHaveAttribute("style", /linear-gradient/);
  await expect(swatch("Glowing orange")).toHaveAttribute("src", ember);
  await expect(swatch("Moonlit")).toHaveAttribute("style", /--paint/);
});

test("lists come in with their faults named, and go out in open formats", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/swatches/pot-colour`);
  await page.getByRole("button", { name: "Paste a list" }).click();
  await page.getByRole("textbox").last().fill("Terracotta, rgb(190 90 50)\nNo such pot, red\nCharcoal, coalish");
  await page.getByRole("button", { name: "Use these colours" }).click();
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("Line 3: “coalish” is not a colour.");
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("No value has the name No such pot.");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("textbox", { name: "Colours of Terracotta" })).toHaveValue("#be5a32");
  await saved(page);
  const csv = await (await page.request.get(`/api/shops/${demoShop}/swatches.csv`)).text();
  expect(csv).toContain("pot-colour,Terracotta,#be5a32,,,");
  const tokens = await (await page.request.get(`/api/shops/${demoShop}/swatches.tokens.json`)).json();
  expect(tokens["pot-colour"].Terracotta.$value).toEqual({
    colorSpace: "srgb",
    components: [0.7451, 0.3529, 0.1961],
    hex: "#be5a32",
  });
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("textbox", { name: "Colours of Terracotta" })).toHaveValue("");
  await saved(page);
});

test("a colour is taken from a product's picture", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/swatches/pot-colour`);
  await page.getByRole("button", { name: "Pick a colour for Terracotta" }).click();
  const card = page.getByRole("dialog", { name: "Pick a colour for Terracotta" });
  await expect(card.getByRole("slider").first()).toBeVisible();
  await card.getByRole("button", { name: "Pick a colour from this picture" }).first().click();
  await expect(page.getByRole("textbox", { name: "Colours of Terracotta" })).toHaveValue(/^#[0-9a-f]{6}$/);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("textbox", { name: "Colours of Terracotta" })).toHaveValue("");
  await saved(page);
});
