import type { DisplayName } from "../../src/core/displays/displays.ts";
import type { FacetRow } from "../../src/core/panel/panel-schema.ts";
import { expectAccessible } from "./axe.ts";
import { demoShop, newShop, origin, saveShop } from "./bench.ts";
import { heard, heardTable } from "./heard.ts";
import { awake } from "./shop-page.ts";
import { type APIRequestContext, expect, type FrameLocator, type Locator, type Page, test } from "./test.ts";

const panels = `/api/shops/${demoShop}/documents/panel`;

/** How a display is worked: by a click, and by keys alone. */
interface Trial {
  field: string;
  mode: FacetRow["mode"];
  settings?: FacetRow["settings"];
  click(facet: Locator): Promise<void>;
  keys(facet: Locator, page: Page): Promise<void>;
}

const option = {
  click: (facet: Locator) => facet.locator("label:has(input:enabled)").first().click(),
  async keys(facet: Locator, page: Page) {
    await facet.locator("input:enabled").first().focus();
    await page.keyboard.press("Space");
  },
};
const slider = {
  async click(facet: Locator) {
    const handle = facet.getByRole("slider").first();
    const box = await handle.boundingBox();
    if (!box) throw new Error("The slider is not on the page.");
    const page = facet.page();
    await page.mouse.move(box.x + box.height / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.5, box.y + box.height / 2, { steps: 5 });
    await page.mouse.up();
  },
  async keys(facet: Locator, page: Page) {
    await facet.getByRole("slider").first().focus();
    for (let i = 0; i < 40; i++) await page.keyboard.press("ArrowRight");
  },
};
const inputs = {
  async click(facet: Locator) {
    const field = facet.getByRole("textbox").first();
    await field.fill("20");
    await field.blur();
  },
  async keys(facet: Locator, page: Page) {
    await facet.getByRole("textbox").first().focus();
    await page.keyboard.type("20");
    // Whoever rests before leaving the field is told what it would find, and keeps what was typed.
    await expect(facet.locator(".zt-peek")).toBeVisible();
    await page.keyboard.press("Tab");
  },
};
const found = {
  async click(facet: Locator) {
    await facet.getByRole("searchbox").fill("ap");
    await facet.locator("label:has(input:enabled)").first().click();
  },
  async keys(facet: Locator, page: Page) {
    await facet.getByRole("searchbox").focus();
    await page.keyboard.type("ap");
    await page.keyboard.press("Tab");
    await page.keyboard.press("Space");
  },
};

const trials: Record<DisplayName, Trial> = {
  "check-boxes": { field: "light", mode: "any", ...option },
  "radio-buttons": { field: "light", mode: "one", ...option },
  "swatch-boxes": { field: "flower-colour", mode: "any", ...option },
  swatches: { field: "flower-colour", mode: "any", ...option },
  "picture-tiles": { field: "brand", mode: "any", settings: { caption: { wide: "under" } }, ...option },
  tiles: { field: "pot-size", mode: "any", ...option },
  tags: { field: "in-flower", mode: "any", ...option },
  toggles: { field: "light", mode: "any", ...option },
  "plain-list": { field: "hardiness", mode: "any", ...option },
  switch: { field: "evergreen", mode: "any", ...option },
  "price-ranges": { field: "price", mode: "range", ...option },
  stars: { field: "rating", mode: "range", ...option },
  slider: { field: "price", mode: "range", settings: { scale: "bent" }, ...slider },
  "slider-inputs": { field: "mature-height", mode: "range", ...slider },
  "number-inputs": { field: "price", mode: "range", ...inputs },
  "search-field": { field: "flower-colour", mode: "any", ...found },
  dates: {
    field: "dispatch-from",
    mode: "range",
    click: (facet) => facet.locator("input[type=date]").first().fill("2027-03-01"),
    async keys(facet, page) {
      await facet.locator("input[type=date]").first().focus();
      await page.keyboard.type("03012027");
      await page.keyboard.press("Tab");
    },
  },
  tree: {
    field: "category",
    mode: "tree",
    click: (facet) => facet.locator("input").first().click(),
    async keys(facet, page) {
      await facet.getByRole("treeitem").first().focus();
      await page.keyboard.press("Space");
    },
  },
  dropdown: {
    field: "brand",
    mode: "any",
    async click(facet) {
      await facet.locator("summary").click();
      await facet.locator("label").first().click();
      await facet.locator("summary").click();
    },
    async keys(facet, page) {
      await facet.locator("summary").focus();
      await page.keyboard.press("Enter");
      await page.keyboard.press("Tab");
      await page.keyboard.press("Space");
      await page.keyboard.press("Escape");
    },
  },
};

/** A panel of one facet in one display, that lies open on both frames. */
async function panelOf(
  request: APIRequestContext,
  name: string,
  { field, mode, settings = {} }: Trial,
  display: DisplayName,
) {
  const row = { kind: "facet", id: "f", field, label: "", display: { wide: display }, mode, settings };
  const document = {
    format: 5,
    name,
    placement: { wide: "left", slim: "above" },
    rows: [row, { kind: "piece", id: "c", piece: "clear", label: "Clear all" }],
  };
  const made = await request.post(panels, { data: { document }, headers: origin });
  expect(made.status()).toBe(201);
  return (await made.json()).slug as string;
}

for (const [display, trial] of Object.entries(trials) as [DisplayName, Trial][]) {
  test(`${display}: by mouse and by keys, on both pages, nothing serious for axe`, async ({ page }) => {
    const slug = await panelOf(page.request, `Display ${display}`, trial, display);
    await page.goto(`/shops/${demoShop}/panels/${slug}`);
    const [wide, phone] = ['iframe[title^="Wide page"]', 'iframe[title^="Phone"]'].map((frame) =>
      page.frameLocator(frame),
    );
    for (const frame of [wide, phone]) await awake(frame);
    const facet = (frame: FrameLocator) => frame.locator('.zt-facet[data-row="f"]');
    const accessible = async () => {
      for (const frame of page.frames())
        if (frame.url().includes("/draft/")) await expectAccessible(frame, ".zt-panel");
    };
    expect(await heard(facet(wide))).toBe(heardTable.get(display));
    // At rest every display is judged by axe on the sheet of specimens.
    for (const [how, here, there] of [
      ["click", wide, phone],
      ["keys", phone, wide],
    ] as const) {
      await trial[how](facet(here), page);
      await expect(here.locator(".zt-total")).toHaveText(/^\d+ products? of 240$/);
      const totals = () => Promise.all([here, there].map((frame) => frame.locator(".zt-total").textContent()));
      await expect.poll(async () => new Set(await totals()).size).toBe(1);
      if (how === "click") await accessible();
      await here.getByRole("button", { name: "Clear all" }).click();
      await expect(there.locator(".zt-total")).toHaveText("240 products");
    }
    // Source: WCAG 2.2, success criterion 2.5.8: at least 24 px. What chooses an option is 44 px high on slim.
    const low = await facet(phone).evaluate((root) =>
      [
        ...root.querySelectorAll<HTMLElement>(
          "label, select, summary, input[type=search], input[type=date], .zt-end, button",
        ),
      ]
        .filter((one) => one.getClientRects().length > 0)
        .filter(
          (one) =>
            one.offsetHeight < (one.matches(".zt-fold, .zt-more, .zt-twig, .zt-clear") ? 24 : 44) ||
            one.offsetWidth < 24,
        )
        .map((one) => `${one.className} ${one.offsetWidth}×${one.offsetHeight}`),
    );
    expect(low).toEqual([]);
  });
}

test("faded options and right-to-left pages hold for axe as well", async ({ page }) => {
  const rows = (["check-boxes", "swatches", "tiles", "toggles", "plain-list", "picture-tiles", "tags"] as const).map(
    (display, i) => ({
      kind: "facet",
      id: `f${i}`,
      field: ["light", "flower-colour", "pot-size", "evergreen", "hardiness", "brand", "in-flower"][i],
      label: "",
      labels: { ar: `واجهة ${i}` },
      display: { wide: display },
      mode: "any",
      settings: {},
    }),
  );
  const document = {
    format: 5,
    name: "Faded",
    placement: { wide: "left", slim: "above" },
    rows: [
      ...rows,
      { kind: "facet", id: "p", field: "price", label: "", display: { wide: "slider" }, mode: "range", settings: {} },
    ],
  };
  const shop = await newShop(page.request, "Right to left");
  await saveShop(page.request, shop, { languages: ["ar"] });
  const { slug } = await (
    await page.request.post(`/api/shops/${shop}/documents/panel`, { data: { document }, headers: origin })
  ).json();
  await page.goto(`/draft/${shop}/?panel=${slug}&price.min=300&lang=ar`);
  await awake(page);
  await expect(page.locator("html")).toHaveAttribute("dir", "rtl");
  await expect(page.getByRole("button", { name: "واجهة 0" })).toBeVisible();
  expect(await page.locator("[data-faded]").count()).toBeGreaterThan(10);
  await expectAccessible(page);
  // The least handle stands at the right, where the scale begins.
  const [least, most] = await page.getByRole("slider").all();
  await most.focus();
  await page.keyboard.press("End");
  await expect(least).toHaveAttribute("aria-valuetext", /300/);
  const bubble = await page.locator(".zt-bubble").boundingBox();
  const track = await page.locator(".zt-track").boundingBox();
  expect(bubble && track && bubble.x + bubble.width / 2 < track.x + track.width / 2).toBe(true);
});
