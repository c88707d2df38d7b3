import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { serveFiles } from "../static-server.ts";
import { addMarkup, chooseOption, foundBy, openForeign, panelOf, ready, test, told } from "./foreign-site.ts";
import { expect } from "./test.ts";
import { textOf } from "./text-of.ts";

test("choices are in the address, as the site wants; back and reload keep them", async ({ page, foreign }) => {
  await foreign.open(page, "ours.html");
  await ready(page);
  await page.getByRole("checkbox", { name: "Shade", exact: false }).first().check();
  await expect(page).toHaveURL(/\?light=/);
  await page.reload();
  await ready(page);
  await expect(page.locator("[data-trellis-count]")).not.toHaveText("240 products");
  await page.getByRole("button", { name: "Clear all" }).click();
  await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
  await page.goBack();
  await expect(page.locator("[data-trellis-count]")).not.toHaveText("240 products");
  await foreign.open(page, "quiet.html");
  await ready(page);
  await chooseOption(page, "light", "shade");
  await expect(page.locator("[data-trellis-count]")).toHaveText("77 products");
  expect(new URL(page.url()).search).toBe("");
});

test("panels and listings of one group share a selection, those of another have their own", async ({
  page,
  foreign,
}) => {
  await foreign.open(page, "twins.html");
  await ready(page, 2);
  const before = await textOf(page.locator("[data-trellis-count]").first());
  await chooseOption(page, "light", "shade", 1);
  const counts = page.locator("[data-trellis-count]");
  await expect(counts.nth(0)).not.toHaveText(before);
  await expect(counts.nth(1)).toHaveText("240 products");
  const chosen = (at: number) =>
    page
      .locator("trellis-panel")
      .nth(at)
      .evaluate((panel: TrellisPanelElement) => panel.selection?.choices);
  expect([await chosen(0), await chosen(1), await chosen(2)]).toEqual([
    { light: { options: ["shade"] } },
    { light: { options: ["shade"] } },
    {},
  ]);
});

test("a script that comes late finds what was chosen before it", async ({ page, foreign }) => {
  const head = foreign.head;
  const script = /type="module" src="([^"]+\.js)"/.exec(head)?.[1] ?? "";
  const parts = ["climber-finder", "listing"].map((name) => foreign.piece(`index/${name}.html`));
  foreign.site.page("late.html", head.replace(/<script type="module".*<\/script>\n/, ""), parts.join(""));
  await foreign.open(page, "late.html");
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  await page.waitForTimeout(300);
  expect(await told(page, "ready")).toEqual([]);
  await page.evaluate(
    (src) => document.head.append(Object.assign(document.createElement("script"), { type: "module", src })),
    script,
  );
  await ready(page);
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeChecked();
});

test("a script that comes twice wakes the page once", async ({ page, foreign }) => {
  await foreign.open(page, "twice.html");
  await ready(page);
  await page.waitForTimeout(500);
  expect(await told(page, "ready")).toHaveLength(1);
  await expect(page.locator("trellis-panel form")).toHaveCount(1);
});

test("a list that the site changes is followed; more comes on a button; an order moves rows", async ({
  page,
  foreign,
}) => {
  await foreign.open(page, "paged.html");
  await ready(page);
  const seen = page.locator("[data-trellis-list] > li:visible article");
  await expect(seen).toHaveCount(24);
  await page.locator("[data-trellis-more]").click();
  await expect(seen).toHaveCount(48);
  await chooseOption(page, "light", "shade");
  await expect(seen.first()).not.toHaveText("LM240");
  const first = await textOf(seen.first());
  await page.getByRole("combobox", { name: "Sort by" }).selectOption("price");
  await expect(seen.first()).not.toHaveText(first);
  const sorted = await seen.allTextContents();
  const found = await foundBy(page);
  expect(sorted).toEqual(found.slice(0, 24));
  // The site takes the first away and brings one that is not found.
  await page.evaluate((id) => {
    document.querySelector(`[data-trellis-product="${id}"]`)?.closest("li")?.remove();
    const item = document.createElement("li");
    item.innerHTML = '<article data-trellis-product="NEW1">NEW1</article>';
    document.querySelector("[data-trellis-list]")?.append(item);
  }, found[0]);
  await expect(seen.first()).toHaveText(found[1] ?? "");
  await expect(page.getByText("NEW1")).toBeVisible();
  expect((await told(page, "trouble")).at(-1)).toMatchObject({
    of: "products",
    message: expect.stringContaining("NEW1"),
  });
});

test("a site that puts its list back into its own order each time does not hang the page, and is told", async ({
  page,
  foreign,
}) => {
  // Like a script that keeps a list sorted by itself, or that draws it anew each time something in it changes.
  const stubborn: [kind: string, told: RegExp, script: (list: Element) => void][] = [
    [
      "sorts",
      /filtered and not sorted/,
      (list) => {
        const own = [...list.children];
        new MutationObserver(() => {
          if ([...list.children].some((item, at) => item !== own[at])) list.append(...own);
        }).observe(list, { childList: true });
      },
    ],
    [
      "draws anew",
      /stays as the page has it/,
      (list) => {
        const html = list.innerHTML;
        const observer = new MutationObserver(() => {
          observer.disconnect();
          list.innerHTML = html;
          observer.observe(list, { childList: true, subtree: true, attributes: true });
        });
        observer.observe(list, { childList: true, subtree: true, attributes: true });
      },
    ],
  ];
  for (const [, words, script] of stubborn) {
    await foreign.open(page, "paged.html");
    await ready(page);
    await page.locator("[data-trellis-list]").evaluate(script);
    await page.getByRole("combobox", { name: "Sort by" }).selectOption("price");
    await expect.poll(async () => (await told(page, "trouble")).at(-1)?.message ?? "").toMatch(words);
    // The page goes on, and counts as before.
    await chooseOption(page, "light", "shade");
    expect((await foundBy(page)).length).toBe(77);
    await page.goto("about:blank");
  }
});

test("what a page does wrong is told, and nothing is lost", async ({ page, foreign }) => {
  await foreign.open(page, "two-lists.html");
  await ready(page);
  expect(await told(page, "trouble")).toMatchObject([{ of: "list" }]);
  await foreign.open(page, "strangers.html");
  await ready(page);
  const [trouble] = await told(page, "trouble");
  expect(trouble).toMatchObject({ of: "products", message: expect.stringMatching(/ZZ9.*LM001/) });
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(3);
});

test("a part that is missing, cut off or of another version is named, and the form stays usable", async ({
  page,
  foreign,
}) => {
  type Case = [part: RegExp, of: string, change: (bytes: Buffer) => { status: number; body?: Buffer }];
  const cases: Case[] = [
    [/trellis\.json$/, "manifest", () => ({ status: 404 })],
    [/shop\.\w+\.json$/, "shop", () => ({ status: 500 })],
    [/catalogue\.\w+\.bin$/, "catalogue", (bytes) => ({ status: 200, body: bytes.subarray(0, bytes.length / 2) })],
    [/cards\.\w+\.bin$/, "cards", () => ({ status: 404 })],
    [/engine\.\w+\.js$/, "engine", () => ({ status: 200, body: Buffer.from("document.title = 'another'") })],
    [
      /trellis\.json$/,
      "manifest",
      (bytes) => ({ status: 200, body: Buffer.from(bytes.toString().replace('"format": 1', '"format": 99')) }),
    ],
    // Which host is asked, the page alone says.
    ...["https://evil.example/shop.json", "//evil.example/s.json", "../../shop.json", "/shop.json"].map(
      (name): Case => [
        /trellis\.json$/,
        "manifest",
        (bytes) => ({
          status: 200,
          body: Buffer.from(bytes.toString().replace(/"shop": "[^"]*"/, `"shop": "${name}"`)),
        }),
      ],
    ),
  ];
  for (const [part, of, change] of cases) {
    foreign.answerInstead((path) =>
      part.test(path) ? change(readFileSync(join(foreign.site.root, path))) : undefined,
    );
    await foreign.open(page, "ours.html");
    await expect.poll(async () => (await told(page, "trouble")).map((one) => one.of)).toEqual([of]);
    expect((await told(page, "trouble"))[0]?.file).toMatch(part);
    await expect(page).toHaveTitle("A site");
    expect(await told(page, "ready")).toEqual([]);
    const form = page.locator("form.zt-panel:visible");
    await form.getByRole("checkbox", { name: "Full sun" }).check();
    expect(
      await form.evaluate((element: HTMLFormElement) =>
        new URLSearchParams(new FormData(element) as unknown as Record<string, string>).get("light"),
      ),
    ).toBe("full sun");
    await page.goto("about:blank");
  }
});

test("it works from another origin, and opened from a disk it is right as far as browsers let it", async ({
  page,
  browser,
  foreign,
}) => {
  const files = await serveFiles(
    { "/kept/": join(foreign.site.root, "kept") },
    { headers: { "access-control-allow-origin": "*" } },
  );
  foreign.site.handOver("kept", "--at", `${files.origin}/kept/`, "--page", "/");
  foreign.site.page(
    "foreign.html",
    foreign.site.piece("kept/head.html"),
    foreign.site.piece("kept/pages/index/climber-finder.html") + foreign.site.piece("kept/pages/index/listing.html"),
  );
  const policy = { "content-security-policy": `default-src 'self' ${files.origin}` };
  const own = await serveFiles({ "/demo/": "demo", "/": foreign.site.root }, { headers: policy });
  await openForeign(page, `${own.origin}/foreign.html`);
  await ready(page);
  await chooseOption(page, "light", "shade");
  await expect(page.locator("[data-trellis-count]")).toHaveText("77 products");
  await own.close();
  await files.close();

  // From a disk browsers run no modules: what is there is the form, in its own style.
  const disk = await browser.newPage();
  await disk.goto(`file://${join(foreign.site.root, foreign.folder, "try.html")}`);
  await expect(disk.locator("form.zt-panel:visible")).toHaveCount(1);
  await disk.locator("form.zt-panel:visible").getByRole("checkbox", { name: "Full sun" }).check();
  expect(
    await disk
      .locator(".zt-title")
      .first()
      .evaluate((title) => getComputedStyle(title).fontWeight),
  ).toBe("600");
  await disk.close();
});

test("markup of an older catalogue is drawn anew, and an element that leaves and comes back is whole", async ({
  page,
  foreign,
}) => {
  const stale = foreign
    .piece("index/climber-finder.html")
    .replace(/catalogue\.\w+\.bin/, "catalogue.000000000000.bin")
    .replaceAll("Full sun", "Old sun");
  foreign.site.page("stale.html", foreign.head, stale);
  await foreign.open(page, "stale.html");
  await ready(page);
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeVisible();
  await expect(page.getByText("Old sun")).toHaveCount(0);
  await page.evaluate(async () => {
    const panel = document.querySelector("trellis-panel") as HTMLElement;
    const place = panel.parentElement as HTMLElement;
    panel.remove();
    await new Promise((done) => setTimeout(done, 50));
    place.append(panel);
  });
  await ready(page, 2);
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  expect(await panelOf(page).evaluate((panel: TrellisPanelElement) => panel.results)).toEqual({
    total: 92,
    outOf: 240,
  });
  // A listing that joins wakes the group once more; what is chosen, what is drawn and what has the focus stay.
  await addMarkup(page, foreign.piece("index/listing.html"));
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeChecked();
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeFocused();
  await page.getByRole("checkbox", { name: "Full sun" }).uncheck();
  await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
});
