import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";

const folder = "trellis";
let site: HandoffSite;
let server: Awaited<ReturnType<typeof serveFiles>>;

test.beforeAll(async ({ baseURL }) => {
  site = await HandoffSite.fetched(baseURL ?? "");
  const pages = ["/", "/articles/choosing-a-climber"].flatMap((page) => ["--page", page]);
  site.handOver(folder, "--at", "/trellis/", "--action", "/found.html", "--link", "/products/{id}", ...pages);
  site.put("site.css", "@media (min-width: 1000px) { trellis-panel { float: left; width: 280px; } }");
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head = site.piece(`${folder}/head.html`);
  const panel = site.piece(`${folder}/pages/index/climber-finder.html`);
  const listing = site.piece(`${folder}/pages/index/listing.html`);
  const form = site.piece(`${folder}/pages/articles/choosing-a-climber/three-questions.form.html`);
  const ids = [...new Set(readFileSync("demo/nursery.csv", "utf8").match(/^LM\d{3}/gm))];
  const rows = ids.map((id) => `<li data-trellis-product="${id}">${id}</li>`).join("\n");
  site.page("ours.html", head, panel + listing);
  site.page("found.html", head, panel + listing);
  site.page("own.html", head, `${panel}<p data-trellis-count=""></p><ul data-trellis-list="">${rows}</ul>`);
  site.page("form.html", head, form);
  site.page("panel.html", head, panel);
  server = await serveFiles({ "/demo/": "demo", "/": site.root }, { headers: strictPolicy });
});
test.afterAll(() => server.close());

/** Keeps what the elements of a page tell. */
const listen = (page: Page) =>
  page.addInitScript(() => {
    const told: string[] = [];
    Object.assign(window, { heard: told });
    for (const name of ["ready", "change", "results", "trouble"])
      document.addEventListener(`trellis-${name}`, () => told.push(name));
  });

/** Opens a page of which the catalogue is held back until it is brought. */
async function open(page: Page, path: string): Promise<{ bring(): void }> {
  let bring = () => {};
  const held = new Promise<void>((done) => {
    bring = done;
  });
  await page.route(/\.bin$/, async (route) => {
    await held;
    await route.continue();
  });
  await listen(page);
  await page.goto(`${server.origin}/${path}`);
  return { bring };
}

const panelOf = (page: Page) => page.locator("trellis-panel");
const awake = (page: Page) =>
  expect.poll(() => panelOf(page).evaluate((panel: TrellisPanelElement) => panel.selection !== undefined)).toBe(true);
const heard = (page: Page) => page.evaluate(() => Reflect.get(window, "heard") as string[]);
const found = (page: Page) => panelOf(page).evaluate((panel: TrellisPanelElement) => panel.found());
const box = (page: Page, name: string) => page.getByRole("checkbox", { name }).first();

test("choices hold before the catalogue is there, each a step of its own, and are counted when it is", async ({
  page,
}) => {
  const { bring } = await open(page, "ours.html");
  await awake(page);
  await box(page, "Half shade").check();
  await box(page, "Apricot").check();
  await expect(page).toHaveURL(/light=half\+shade/);
  await expect(page).toHaveURL(/flower-colour=apricot/);
  await expect(page.locator("trellis-listing")).toHaveAttribute("aria-busy", "true");
  expect(await found(page)).toEqual([]);
  expect(await heard(page)).toEqual(["change", "change"]);
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
  bring();
  const both = { text: "", choices: { light: { options: ["half shade"] }, "flower-colour": { options: ["apricot"] } } };
  const expected = await site.tally(both);
  await expect.poll(() => found(page)).toEqual(expected.products);
  await expect(page.locator("[data-trellis-count]")).toHaveText(`${expected.total} products`);
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(expected.total);
  await expect(page.locator("trellis-listing")).toHaveAttribute("aria-busy", "false");
  expect((await heard(page)).filter((name) => name === "ready")).toHaveLength(1);
  await page.goBack();
  await expect(box(page, "Apricot")).not.toBeChecked();
  await expect(box(page, "Half shade")).toBeChecked();
});

test("what the address says is ticked before the catalogue is there; nothing moves when it comes", async ({ page }) => {
  const { bring } = await open(page, "ours.html?light=full+sun");
  await awake(page);
  await expect(box(page, "Full sun")).toBeChecked();
  const top = () => page.locator(".zt-facet, .zt-title").last().boundingBox();
  const before = await top();
  bring();
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  expect(await top()).toEqual(before);
});

test("a button has a number once there is one, and keeps what is chosen until then", async ({ page }) => {
  const { bring } = await open(page, "form.html");
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

test("a button that is pressed before the catalogue is there leads to what is chosen", async ({ page }) => {
  await open(page, "form.html");
  await awake(page);
  await page.getByRole("switch").check();
  await page.locator(".zt-apply").click();
  await page.waitForURL("**/found.html?**");
  expect(new URL(page.url()).searchParams.get("pet-safe")).toBe("yes");
});

test("a list of the site's own stays whole until it can be arranged", async ({ page }) => {
  const { bring } = await open(page, "own.html");
  await awake(page);
  await box(page, "Full sun").check();
  await expect(box(page, "Full sun")).toBeChecked();
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(240);
  bring();
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(92);
});

test("a catalogue that does not come is told, keeps what is chosen, and is asked for again by itself", async ({
  page,
}) => {
  await listen(page);
  await page.route(/\.bin$/, (route) => route.fulfill({ status: 503 }));
  await page.goto(`${server.origin}/ours.html`);
  await awake(page);
  await expect.poll(() => heard(page)).toContain("trouble");
  await box(page, "Full sun").check();
  await expect(page.locator(".zt-trouble")).toContainText("does not answer");
  await expect(box(page, "Full sun")).toBeChecked();
  expect(await heard(page)).not.toContain("ready");
  await page.unroute(/\.bin$/);
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.locator(".zt-trouble")).toHaveText("");
  expect((await heard(page)).filter((name) => name === "ready")).toHaveLength(1);
});

test("a panel and a listing that come to the page before the catalogue are part of it", async ({ page }) => {
  const { bring } = await open(page, "panel.html");
  await awake(page);
  await box(page, "Full sun").check();
  const pieces = ["climber-finder", "listing"].map((name) => site.piece(`${folder}/pages/index/${name}.html`));
  await page.evaluate((html) => {
    const more = document.createElement("div");
    more.append(document.createRange().createContextualFragment(html));
    document.querySelector("main")?.append(more);
  }, pieces.join(""));
  await expect(page.locator("trellis-panel").nth(1).getByRole("checkbox", { name: "Full sun" }).first()).toBeVisible();
  bring();
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
  await expect(page.locator("trellis-panel").nth(1).getByRole("checkbox", { name: "Full sun" }).first()).toBeChecked();
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("the drawer says that there is no result yet, in the panel's typeface, and its button has no number", async ({
    page,
  }) => {
    await page.route(/\.bin$/, (route) => route.fulfill({ status: 503 }));
    await page.goto(`${server.origin}/ours.html`);
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
    await expect(drawer.getByRole("alert")).toContainText("does not answer");
    await expect(show).toHaveText("Show products");
    const faces = await drawer
      .locator(".zt-title, .zt-drawer-foot button, .zt-trouble")
      .evaluateAll((all) => all.map((one) => getComputedStyle(one).fontFamily));
    expect(new Set(faces).size).toBe(1);
    await page.unroute(/\.bin$/);
    await expect(show).toHaveText("Show 92 products");
  });
});
