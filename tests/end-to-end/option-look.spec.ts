import { demoPanel } from "../../demo/panel.ts";
import { emptyLook } from "../../src/core/look/empty-look.ts";
import { newFacet } from "../../src/core/panel/panel.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { newPiece } from "../../src/core/panel/pieces.ts";
import { newShop, openBench, origin, saveShop } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Locator, type Page, test } from "./test.ts";

const sizes = [
  [1280, 800],
  [390, 844],
] as const;

/** A shop with a panel of boxes, swatches and tiles, that is open on every band. */
async function openBoxes(page: Page, name: string, rows: PanelDocument["rows"]) {
  const shop = await newShop(page.request, name);
  const document: PanelDocument = {
    ...demoPanel,
    behaviour: undefined,
    placement: { wide: "left", slim: "above" },
    rows,
  };
  const path = `/api/shops/${shop}/documents/panel`;
  const [first] = (await (await page.request.get(`/api/shops/${shop}`)).json()).panels;
  const { version } = await (await page.request.get(`${path}/${first.slug}`)).json();
  const put = await page.request.put(`${path}/${first.slug}`, { data: { version, document }, headers: origin });
  expect(put.status(), await put.text()).toBe(200);
  const bench = await openBench(page, false, shop, first.slug);
  return { shop, bench };
}

const publish = async (page: Page, shop: string) => {
  const published = await page.request.post(`/api/shops/${shop}/editions`, { data: { note: "" }, headers: origin });
  expect(published.status(), await published.text()).toBe(201);
};

const style = (of: Locator, property: string, pseudo?: string) =>
  of.evaluate((one, [name, at]) => getComputedStyle(one, at).getPropertyValue(name ?? ""), [property, pseudo] as const);

const mark = (colour: string) => ({
  name: `${colour}.svg`,
  mimeType: "image/svg+xml",
  buffer: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="24" height="24"><rect width="24" height="24" fill="${colour}"/></svg>`,
  ),
});

test("pictures take the place of box and tick, unchosen, hovered and chosen, of radio buttons too, in five acts", async ({
  page,
}) => {
  const { shop, bench } = await openBoxes(page, "Ticks", [
    newFacet("f-light", "light", "check-boxes", "any"),
    newFacet("f-hardiness", "hardiness", "radio-buttons", "one"),
  ]);
  for (const row of ["Light", "Hardiness"]) {
    await page.getByRole("button", { name: `Settings of ${row}` }).click();
    await page.getByRole("tab", { name: "Style" }).last().click();
    for (const [state, colour] of [
      ["unchosen", "#ffffff"],
      ["hovered", "#ffe9a8"],
      ["chosen", "#2f7d4f"],
    ] as const) {
      const chooser = page.waitForEvent("filechooser");
      await page.getByRole("button", { name: `Upload picture in place of box and tick, ${state}` }).click();
      await (await chooser).setFiles(mark(colour));
      await expect(page.getByRole("button", { name: `No picture in place of box and tick, ${state}` })).toBeVisible();
    }
    await page.getByRole("button", { name: `Settings of ${row}` }).click();
  }
  await bench.saved();
  await publish(page, shop);
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    await page.goto(`/shop/${shop}/`);
    await awake(page);
    for (const box of [page.getByRole("checkbox", { name: /^Half shade/ }), page.getByRole("radio", { name: /^H3/ })]) {
      const picture = () => style(box, "background-image", "::after");
      await page.mouse.move(0, 0);
      const unchosen = await picture();
      expect(unchosen).toMatch(/^url\(.*\/pictures\//);
      await box.hover();
      await expect.poll(picture).not.toBe(unchosen);
      const hovered = await picture();
      await box.click();
      await expect(box).toBeChecked();
      await page.mouse.move(0, 0);
      await expect.poll(picture).not.toBe(hovered);
      expect([unchosen, hovered]).not.toContain(await picture());
      // Nothing of the drawn box and tick is left.
      for (const [property, pseudo] of [
        ["background-color"],
        ["border-top-color"],
        ["background-color", "::before"],
      ] as const)
        expect(await style(box, property, pseudo)).toBe("rgba(0, 0, 0, 0)");
    }
  }
});

test("a count stands in any corner of a swatch, a tile and a box, and swatches have corners in px and %", async ({
  page,
}) => {
  const { shop, bench } = await openBoxes(page, "Corners", [
    newFacet("f-flower-colour", "flower-colour", "swatches", "any"),
    newFacet("f-pot-size", "pot-size", "tiles", "any"),
    newFacet("f-light", "light", "check-boxes", "any"),
  ]);
  const corners = ["top left", "top right", "bottom left", "bottom right"] as const;
  const set = async (row: string, label: string, value: string) => {
    await page.getByRole("button", { name: `Settings of ${row}` }).click();
    await page.getByRole("tab", { name: "Style" }).last().click();
    if (row === "Light") await page.getByRole("combobox", { name: "Part" }).selectOption("count");
    await page.getByRole("combobox", { name: label, exact: true }).selectOption(value);
    await page.getByRole("button", { name: `Settings of ${row}` }).click();
  };
  const options = {
    "Flower colour": ".zt-swatch",
    "Pot size": ".zt-tile",
    Light: ".zt-box",
  } as const;
  for (const corner of corners) {
    for (const row of Object.keys(options)) await set(row, row === "Light" ? "Position" : "Count position", corner);
    for (const selector of Object.values(options)) {
      const option = bench.wide.locator(selector).first();
      const count = option.locator(".zt-count").last();
      await expect(count).toBeVisible();
      await expect
        .poll(async () => {
          const [around, own] = [await option.boundingBox(), await count.boundingBox()];
          if (!around || !own) return "";
          const down = own.y + own.height / 2 < around.y + around.height / 2 ? "top" : "bottom";
          return `${down} ${own.x + own.width / 2 < around.x + around.width / 2 ? "left" : "right"}`;
        })
        .toBe(corner);
    }
  }
  const dot = bench.wide.locator(".zt-dot").first();
  await set("Flower colour", "Corner radius", "in px");
  await expect.poll(() => style(dot, "border-top-left-radius")).toMatch(/6px/);
  await set("Flower colour", "Corner radius", "in %");
  await expect.poll(() => style(dot, "border-top-left-radius")).toMatch(/12%/);
  await bench.saved();
  await publish(page, shop);
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    await page.goto(`/shop/${shop}/`);
    await awake(page);
    const swatch = page.locator(".zt-swatch").first();
    const count = swatch.locator("> .zt-count");
    const told = Number((await count.textContent())?.match(/\d+/)?.[0]);
    expect(await style(count, "clip-path")).toBe("none");
    expect(await style(count, "bottom")).toMatch(/^-\d/);
    // The number that is seen is what a click leads to.
    await swatch.click();
    await expect(page.locator(".zt-total").first()).toHaveText(new RegExp(`^${told} products`));
  }
});

test("an option style comes from any look, also where there was none, in one act; others take it", async ({ page }) => {
  const { bench } = await openBoxes(page, "Styles", [
    newFacet("f-light", "light", "tiles", "any"),
    newFacet("f-hardiness", "hardiness", "tiles", "any"),
  ]);
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("tab", { name: "Style" }).click();
  // The facet's own values become part of the style.
  const radius = page.getByRole("textbox", { name: "Corner radius", exact: true });
  await radius.fill("17");
  await radius.press("Enter");
  await page.getByRole("button", { name: "As an option style" }).click();
  await expect(page.getByRole("combobox", { name: "Option style of Light" })).toHaveValue(/./);
  await expect(page.getByText("Changes show on every facet with the style “Light”.")).toBeVisible();
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("button", { name: "Settings of Hardiness" }).click();
  await page.getByRole("tab", { name: "Style" }).click();
  await page.getByRole("combobox", { name: "Option style of Hardiness" }).selectOption({ label: "Light" });
  for (const row of ["f-light", "f-hardiness"])
    await expect
      .poll(() => style(bench.wide.locator(`[data-row="${row}"] .zt-tile`).first(), "border-top-left-radius"))
      .toBe("17px");
  // A change of the style is on both.
  await page.getByRole("button", { name: "As an option style" }).click();
  await radius.fill("3");
  await radius.press("Enter");
  for (const row of ["f-light", "f-hardiness"])
    await expect
      .poll(() => style(bench.wide.locator(`[data-row="${row}"] .zt-tile`).first(), "border-top-left-radius"))
      .toBe("3px");
  await bench.saved();
});

test("with a look for the dark and more languages the studio is no wider than 1280 px", async ({ page }) => {
  const shop = await newShop(page.request, "Narrow enough");
  const look = {
    ...emptyLook("Dark"),
    dark: { "ground.page": "#101010", ground: "#101010", ink: "#ffffff", "ink.quiet": "#cccccc" },
  };
  const made = await page.request.post(`/api/shops/${shop}/documents/look`, {
    data: { document: look },
    headers: origin,
  });
  await saveShop(page.request, shop, { look: (await made.json()).slug, languages: ["de", "ja"] });
  for (const view of ["", "/catalogue", "/panels", "/swatches", "/look", "/pages", "/rehearsal", "/editions"]) {
    await page.goto(`/shops/${shop}${view}`);
    await expect(page.getByRole("navigation", { name: "Views" })).toBeVisible();
    await expect(page.getByText(/^Opening/)).toHaveCount(0);
    if (view === "/panels") await expect(page.getByRole("button", { name: /dark mode/ })).toBeVisible();
    expect([view, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([view, 1280]);
  }
});

test("a drawer's button has words in each language and an icon of the set or of one's own; pictures are uploaded where they are asked for", async ({
  page,
}) => {
  const { shop, bench } = await openBoxes(page, "Opener", [
    newFacet("f-light", "light", "check-boxes", "any"),
    newPiece("picture", "picture"),
  ]);
  const upload = async (name: RegExp | string, colour: string) => {
    const chooser = page.waitForEvent("filechooser");
    await page.getByRole("button", { name }).first().click();
    await (await chooser).setFiles(mark(colour));
  };
  await page.getByRole("button", { name: /^The panel on slim/ }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^In a drawer/ })
    .click();
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  const fill = async (name: string, text: string) => {
    await page.getByRole("textbox", { name, exact: true }).fill(text);
    await page.getByRole("textbox", { name, exact: true }).press("Enter");
  };
  await fill("Further languages", "de");
  await fill("Button text of the panel", "Narrow down");
  await fill("Button text of the panel in de", "Eingrenzen");
  await fill("Drawer title of the panel", "What fits");
  await page.getByRole("radio", { name: "ruler" }).check({ force: true });
  await expect(bench.phone.locator(".zt-drawer-button svg")).toBeVisible();
  await page.getByRole("combobox", { name: "Language of the pages" }).selectOption("de");
  await expect(bench.phone.locator(".zt-drawer-button")).toHaveText("Eingrenzen");
  await page.getByRole("radio", { name: "own" }).check({ force: true });
  await upload("Upload custom icon of the panel", "#8833aa");
  await expect(bench.phone.locator(".zt-drawer-button img")).toBeVisible();
  await page.getByRole("button", { name: "Settings of the panel" }).click();
  await page.getByRole("button", { name: "Settings of Picture" }).click();
  await upload("Upload a picture for Picture", "#336699");
  await expect(bench.wide.locator(".zt-image")).toBeVisible();
  await bench.saved();
  await publish(page, shop);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/shop/${shop}/`);
  await awake(page);
  const button = page.getByRole("button", { name: "Narrow down" });
  const icon = await button.locator("img").getAttribute("src");
  expect(icon).toMatch(/^\/pictures\//);
  expect((await page.request.get(icon ?? "")).status()).toBe(200);
  await button.click();
  await expect(page.getByRole("dialog", { name: "What fits" })).toBeVisible();
  // Closing a drawer steps back in history: done before the page is left, it can't abort that.
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog", { name: "What fits" })).toBeHidden();
  // A product's picture too.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`/shops/${shop}/catalogue/products`);
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: /^image$/i }).check();
  await page.keyboard.press("Escape");
  await upload("Upload a picture of LM001", "#cc5500");
  await expect(page.getByRole("button", { name: /^image: \/pictures\//i }).first()).toBeVisible();
});
