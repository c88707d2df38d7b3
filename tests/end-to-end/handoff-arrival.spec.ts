import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { addMarkup, type ForeignSite, foundBy, holdCatalogue, panelOf, test } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

/** Opens a page of which the catalogue is held back until it is brought. */
async function open(page: Page, foreign: ForeignSite, path: string): Promise<{ bring(): void }> {
  const held = await holdCatalogue(page);
  await foreign.open(page, path);
  return held;
}

const awake = (page: Page) =>
  expect.poll(() => panelOf(page).evaluate((panel: TrellisPanelElement) => panel.selection !== undefined)).toBe(true);
const heard = (page: Page) => page.evaluate(() => window.told.map(([name]) => name));
const box = (page: Page, name: string) => page.getByRole("checkbox", { name }).first();

test("choices hold before the catalogue is there, each a step of its own, and are counted when it is", async ({
  page,
  foreign,
}) => {
  const { bring } = await open(page, foreign, "ours.html");
  await awake(page);
  await box(page, "Half shade").check();
  await box(page, "Apricot").check();
  await expect(page).toHaveURL(/light=half\+shade/);
  await expect(page).toHaveURL(/flower-colour=apricot/);
  await expect(page.locator("trellis-listing")).toHaveAttribute("aria-busy", "true");
  expect(await foundBy(page)).toEqual([]);
  expect(await heard(page)).toEqual(["change", "change"]);
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
  bring();
  const both = { text: "", choices: { light: { options: ["half shade"] }, "flower-colour": { options: ["apricot"] } } };
  const expected = await foreign.site.tally(both);
  await expect.poll(() => foundBy(page)).toEqual(expected.products);
  await expect(page.locator("[data-trellis-count]")).toHaveText(`${expected.total} products`);
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(expected.total);
  await expect(page.locator("trellis-listing")).toHaveAttribute("aria-busy", "false");
  expect((await heard(page)).filter((name) => name === "ready")).toHaveLength(1);
  await page.goBack();
  await expect(box(page, "Apricot")).not.toBeChecked();
  await expect(box(page, "Half shade")).toBeChecked();
});

test("what the address says is ticked before the catalogue is there; nothing moves when it comes", async ({
  page,
  foreign,
}) => {
  const { bring } = await open(page, foreign, "ours.html?light=full+sun");
  await awake(page);
  await expect(box(page, "Full sun")).toBeChecked();
  const top = () => page.locator(".zt-facet, .zt-title").last().boundingBox();
  const before = await top();
  bring();
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  expect(await top()).toEqual(before);
});

test("a button has a number once there is one, and keeps what is chosen until then", async ({ page, foreign }) => {
  const { bring } = await open(page, foreign, "form.html");
  await awake(page);
  const button = page.locator(".zt-apply");
  await expect(button).toHaveText(/\d/);
  const question = page.getByRole("switch");
  await question.check();
  await expect(button).toHaveText("Show products");
  await expect(question).toBeChecked();
  bring();
  await expect(button).toHaveText(/\d/);
  await expect(question).toBeChecked();
});

test("a button that is pressed before the catalogue is there leads to what is chosen", async ({ page, foreign }) => {
  await open(page, foreign, "form.html");
  await awake(page);
  await page.getByRole("switch").check();
  await page.locator(".zt-apply").click();
  await page.waitForURL("**/found.html?**");
  expect(new URL(page.url()).searchParams.get("pet-safe")).toBe("yes");
});

test("a list of the site's own stays whole until it can be arranged", async ({ page, foreign }) => {
  const { bring } = await open(page, foreign, "own.html");
  await awake(page);
  await box(page, "Full sun").check();
  await expect(box(page, "Full sun")).toBeChecked();
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(240);
  bring();
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(92);
});

test("a catalogue that does not come is told, keeps what is chosen, and is asked for again by itself", async ({
  page,
  foreign,
}) => {
  await page.route(/\.bin$/, (route) => route.fulfill({ status: 503 }));
  await foreign.open(page, "ours.html");
  await awake(page);
  await expect.poll(() => heard(page)).toContain("trouble");
  await box(page, "Full sun").check();
  await expect(page.locator(".zt-trouble")).toContainText("isn’t responding");
  await expect(box(page, "Full sun")).toBeChecked();
  expect(await heard(page)).not.toContain("ready");
  await page.unroute(/\.bin$/);
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.locator(".zt-trouble")).toHaveText("");
  expect((await heard(page)).filter((name) => name === "ready")).toHaveLength(1);
});

test("a panel and a listing that come to the page before the catalogue are part of it", async ({ page, foreign }) => {
  const { bring } = await open(page, foreign, "panel.html");
  await awake(page);
  await box(page, "Full sun").check();
  const pieces = ["climber-finder", "listing"].map((name) => foreign.piece(`index/${name}.html`));
  await addMarkup(page, pieces.join(""));
  await expect(panelOf(page).nth(1).getByRole("checkbox", { name: "Full sun" }).first()).toBeVisible();
  bring();
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
  await expect(panelOf(page).nth(1).getByRole("checkbox", { name: "Full sun" }).first()).toBeChecked();
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("the drawer says that there is no result yet, in the panel's typeface, and its button has no number", async ({
    page,
    foreign,
  }) => {
    await page.route(/\.bin$/, (route) => route.fulfill({ status: 503 }));
    await foreign.open(page, "ours.html");
    await awake(page);
    await page.getByRole("button", { name: "Filters" }).click();
    const drawer = page.getByRole("dialog");
    const show = drawer.locator(".zt-drawer-foot button");
    await expect(show).toHaveText("Show 240 products");
    await drawer
      .getByRole("button", { name: /^Full sun/ })
      .or(box(page, "Full sun"))
      .first()
      .click();
    await expect(drawer.getByRole("alert")).toContainText("isn’t responding");
    await expect(show).toHaveText("Show products");
    const faces = await drawer
      .locator(".zt-title, .zt-drawer-foot button, .zt-trouble")
      .evaluateAll((all) => all.map((one) => getComputedStyle(one).fontFamily));
    expect(new Set(faces).size).toBe(1);
    await page.unroute(/\.bin$/);
    await expect(show).toHaveText("Show 92 products");
  });
});
