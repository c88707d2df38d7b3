import { type Visit, visit } from "../../src/core/api/visit.ts";
import { checkValue } from "../../src/core/document/schema.ts";
import { seededInteger } from "../../src/core/rehearsal/seeded-random.ts";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { type ForeignSite, foundBy, panelOf, ready, test } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

/** Opens a page that tells visits, and keeps what it tells. */
async function open(page: Page, foreign: ForeignSite, attribute = "/visits"): Promise<void> {
  const panel = foreign
    .piece("index/climber-finder.html")
    .replace("<trellis-panel", `<trellis-panel visits="${attribute}"`);
  foreign.site.page("visited.html", foreign.head, panel + foreign.piece("index/listing.html"));
  await page.addInitScript(() => {
    const seen: unknown[] = [];
    Object.assign(window, { seen });
    document.addEventListener("trellis-visit", (event) => seen.push((event as CustomEvent).detail));
  });
  await foreign.open(page, "visited.html");
  await ready(page);
}

/** What the page has told so far; each line is of the format. */
async function told(page: Page): Promise<Visit[]> {
  const lines = await page.evaluate(() => (window as unknown as { seen: unknown[] }).seen);
  return lines.map((line) => checkValue("visit", visit, JSON.parse(JSON.stringify(line))));
}

const acts = async (page: Page) =>
  (await told(page)).map(({ act, field, chosen, text, before, after }) =>
    JSON.parse(JSON.stringify({ act, field, chosen, text, before, after })),
  );

test("what is done is told line by line, with what it led to, and sent once when the page is left", async ({
  page,
  foreign,
}) => {
  await open(page, foreign);
  await expect.poll(() => acts(page)).toEqual([{ act: "see", after: 240 }]);
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  await expect.poll(async () => (await acts(page)).length).toBe(2);
  const one = (await foreign.site.tally({ choices: { light: { options: ["full sun"] } }, text: "" })).total;
  await page.getByRole("checkbox", { name: "Shade", exact: false }).first().check();
  await expect.poll(async () => (await acts(page)).length).toBe(3);
  const two = (await foreign.site.tally({ choices: { light: { options: ["full sun", "shade"] } }, text: "" })).total;
  await page.getByRole("checkbox", { name: "Full sun" }).uncheck();
  await expect.poll(async () => (await acts(page)).length).toBe(4);
  const three = (await foreign.site.tally({ choices: { light: { options: ["shade"] } }, text: "" })).total;
  await page.getByRole("link", { name: "Page 2", exact: true }).click();
  await expect.poll(async () => (await acts(page)).length).toBe(5);
  await page.locator("[data-trellis-sort]").selectOption({ index: 1 });
  await expect.poll(async () => (await acts(page)).length).toBe(6);
  const order = await page.locator("[data-trellis-sort]").inputValue();
  const first = (await foundBy(page))[0];
  await page.locator("[data-trellis-cards] h3 a").first().click();
  await expect.poll(() => foreign.posted.length).toBe(7);
  const lines = foreign.posted.map((line) => checkValue("visit", visit, JSON.parse(line)));
  expect(lines.map(({ act, field, chosen, text, before, after }) => [act, field, chosen, text, before, after])).toEqual(
    [
      ["see", undefined, undefined, undefined, undefined, 240],
      ["choose", "light", ["full sun"], undefined, 240, one],
      ["choose", "light", ["shade"], undefined, one, two],
      ["remove", "light", ["full sun"], undefined, two, three],
      ["turn", undefined, undefined, "2", undefined, three],
      ["sort", undefined, undefined, order, undefined, three],
      ["open", undefined, undefined, first, undefined, undefined],
    ],
  );
  expect(new Set(lines.map(({ tab }) => tab)).size).toBe(1);
  for (const { page: address, band } of lines) expect([address, band]).toEqual(["/", "wide"]);
  expect(lines.slice(1, 4).map(({ panel }) => panel)).toEqual(["climber-finder", "climber-finder", "climber-finder"]);
  for (const { ms } of lines.slice(1, 4)) expect(ms).toBeGreaterThanOrEqual(0);
});

test("a folded facet that is opened is told with its field, and folding it is not", async ({ page, foreign }) => {
  await open(page, foreign, "");
  await expect.poll(async () => (await acts(page)).length).toBe(1);
  const facet = page.locator("[data-field]:has(.zt-fold)").first();
  const field = await facet.getAttribute("data-field");
  const fold = facet.locator(".zt-fold");
  await fold.click();
  await expect(fold).toHaveAttribute("aria-expanded", "false");
  await fold.click();
  await expect(fold).toHaveAttribute("aria-expanded", "true");
  expect((await acts(page)).slice(1)).toEqual([{ act: "unfold", field }]);
});

test("random acts are told as they were done", async ({ page, foreign }) => {
  await open(page, foreign, "");
  await expect.poll(async () => (await acts(page)).length).toBe(1);
  const options = {
    light: ["shade", "full sun", "half shade"],
    "flower-colour": ["white", "yellow", "cream"],
  } as const;
  const fields = Object.keys(options) as (keyof typeof options)[];
  const chosen = new Map<string, string[]>();
  const expected: unknown[] = [];
  let before = 240;
  for (let step = 0; step < 15; step++) {
    const field = fields[seededInteger(fields.length, "field", step)] ?? "light";
    const option = options[field][seededInteger(3, "option", step)] ?? "";
    const now = chosen.get(field) ?? [];
    const removes = now.includes(option);
    const next = removes ? now.filter((one) => one !== option) : [...now, option];
    chosen.set(field, next);
    await panelOf(page).evaluate(
      (one: TrellisPanelElement, [key, all]) => one.choose(key, all.length > 0 ? { options: [...all] } : undefined),
      [field, next] as const,
    );
    const choices = Object.fromEntries(
      [...chosen].filter(([, all]) => all.length > 0).map(([key, all]) => [key, { options: all }]),
    );
    const after = (await foreign.site.tally({ choices, text: "" })).total;
    expected.push({ act: removes ? "remove" : "choose", field, chosen: [option], before, after });
    if (after === 0) expected.push({ act: "nothing", text: "" });
    before = after;
    await expect.poll(async () => (await acts(page)).length).toBe(expected.length + 1);
  }
  expect((await acts(page)).slice(1)).toEqual(expected);
});

test("a shopper who has said so is not told of", async ({ page, foreign }) => {
  await page.addInitScript(() => Object.defineProperty(navigator, "globalPrivacyControl", { value: true }));
  await open(page, foreign);
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  await expect(page.locator("[data-trellis-count]")).not.toHaveText("240 products");
  await page.goto("about:blank");
  expect(foreign.posted).toEqual([]);
});
