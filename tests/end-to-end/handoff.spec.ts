import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, type Page, test } from "@playwright/test";
import { Random } from "../../demo/random.ts";
import type { Selection } from "../../src/core/match/question.ts";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { expectAccessible } from "./axe.ts";

const at = "/deep/down/trellis/";
const folder = "deep/down/trellis";
const wide = { width: 1280, height: 800 };
const slim = { width: 390, height: 844 };

/** Markup that belongs to a group of its own. */
const ofGroup = (group: string, markup: string): string =>
  markup
    .replace(/<trellis-(panel|listing)/g, `<trellis-$1 group="${group}"`)
    .replace(/data-trellis-(count|sort|more|nothing)=""/g, `data-trellis-$1="${group}"`);

let site: HandoffSite;
let server: Awaited<ReturnType<typeof serveFiles>>;
/** Answers in place of files, for one test. */
let instead: ((path: string) => { status: number; body?: Buffer } | undefined) | undefined;

test.beforeAll(async ({ baseURL }) => {
  site = await HandoffSite.fetched(baseURL ?? "");
  const pages = ["/", "/articles/choosing-a-climber", "/collections/gifts"].flatMap((page) => ["--page", page]);
  site.handOver(folder, "--at", at, "--action", "/found.html", "--link", "/products/{id}", ...pages);
  // The panel has a column of its own, as a sticky one wants it.
  site.put(
    "site.css",
    "@media (min-width: 1000px) { trellis-panel { float: left; width: 280px; } trellis-panel ~ * { margin-left: 320px; } }",
  );
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head = site.piece(`${folder}/head.html`);
  const panel = site.piece(`${folder}/pages/index/climber-finder.html`);
  const listing = site.piece(`${folder}/pages/index/listing.html`);
  const [gifts, questions, gift] = ["climber-finder", "three-questions", "listing"].map((name) =>
    site.piece(`${folder}/pages/collections/gifts/${name}.html`),
  );
  const form = site.piece(`${folder}/pages/articles/choosing-a-climber/three-questions.form.html`);
  const ids = [...new Set(readFileSync("demo/nursery.csv", "utf8").match(/^LM\d{3}/gm))].reverse();
  const rows = (all: readonly string[]) =>
    all.map((id) => `<li><article data-trellis-product="${id}">${id}</article></li>`).join("\n");
  const list = (items: string) =>
    `<p data-trellis-count=""></p>\n<select data-trellis-sort="" aria-label="Sort by"></select>\n<ul data-trellis-list="">\n${items}\n</ul>\n<p data-trellis-nothing="" hidden>Nothing</p>\n`;
  site.page("ours.html", head, panel + listing);
  site.page("found.html", head, panel + listing);
  site.page("own.html", head, panel + list(rows(ids)));
  site.page(
    "paged.html",
    head,
    `${panel}${list(rows(ids))}<button type="button" data-trellis-more="" hidden></button>`,
  );
  site.page("form.html", head, form);
  site.page("two-lists.html", head, panel + list(rows(["LM001"])) + list(rows(["LM002"])));
  site.page("strangers.html", head, panel + list(rows(["LM001", "LM001", "ZZ9"])));
  site.page("twins.html", head, `${gifts}${questions}${gift}${ofGroup("other", panel + listing)}`);
  site.page(
    "twice.html",
    head,
    `${panel}${listing}${head.replace(/(trellis\.\w+\.js)/, "$1?again").replace(/ integrity="[^"]+"/g, "")}`,
  );
  site.page("quiet.html", head, panel.replace("<trellis-panel", '<trellis-panel history="none"') + listing);
  server = await serveFiles(
    { "/demo/": "demo", "/": site.root },
    { headers: strictPolicy, instead: (path) => instead?.(path) },
  );
});
test.afterAll(() => server.close());
test.afterEach(() => {
  instead = undefined;
});

/** Opens a page of the site, and keeps what its elements tell and what the browser complains of. */
async function open(page: Page, path: string): Promise<{ complaints: string[] }> {
  const complaints: string[] = [];
  page.on("console", (message) => {
    if (message.type() === "error") complaints.push(message.text());
  });
  page.on("pageerror", ({ message }) => complaints.push(message));
  await page.addInitScript(() => {
    const told: unknown[] = [];
    Object.assign(window, { told, shift: 0 });
    for (const name of ["ready", "change", "results", "trouble"])
      document.addEventListener(`trellis-${name}`, (event) => told.push([name, (event as CustomEvent).detail]));
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        Object.assign(window, { shift: window.shift + (entry as unknown as { value: number }).value });
    }).observe({ type: "layout-shift", buffered: true });
  });
  await page.goto(`${server.origin}/${path}`);
  return { complaints };
}

declare global {
  interface Window {
    told: [name: string, detail: Record<string, unknown>][];
    shift: number;
  }
}

const told = (page: Page, name: string) =>
  page.evaluate((wanted) => window.told.filter(([one]) => one === wanted).map(([, detail]) => detail), name);
const awake = async (page: Page, groups = 1) => {
  await expect.poll(async () => (await told(page, "ready")).length).toBe(groups);
};

/** Changes some inputs of the first panel as a shopper would, by seeded chance, and says what is chosen then. */
async function chooseByChance(page: Page, random: Random): Promise<Selection> {
  const chances = Array.from({ length: 8 }, () => random.next());
  return page.evaluate((draws) => {
    const [steps = 0, ...rest] = draws;
    const panel = document.querySelector("trellis-panel") as TrellisPanelElement;
    panel.clear();
    for (let step = 0; step < 1 + Math.floor(steps * 3); step++) {
      const inputs = [
        ...panel.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
          "input:not([type=range], [type=search], [type=hidden]):enabled, select",
        ),
      ];
      const input = inputs[Math.floor((rest[2 * step] ?? 0) * inputs.length)];
      const chance = rest[2 * step + 1] ?? 0;
      if (input instanceof HTMLSelectElement) {
        const options = [...input.options].filter(({ disabled }) => !disabled);
        input.value = options[Math.floor(chance * options.length)]?.value ?? "";
        input.dispatchEvent(new Event("change", { bubbles: true }));
      } else if (input?.type === "number" || input?.inputMode === "decimal") {
        input.value = String(Math.round(Number(input.placeholder || 100) * (0.5 + chance)));
        input.dispatchEvent(new Event("change", { bubbles: true }));
      } else input?.click();
    }
    return panel.selection ?? { choices: {}, text: "" };
  }, chances);
}

for (const [band, size] of Object.entries({ wide, slim })) {
  test.describe(`on ${band}`, () => {
    test.use({ viewport: size });

    test(`our listing shows what tally finds, in 15 random choices; waking moves nothing`, async ({ page }) => {
      const { complaints } = await open(page, "ours.html");
      await awake(page);
      await page.waitForTimeout(300);
      expect(await page.evaluate(() => window.shift)).toBe(0);
      const random = new Random(band === "wide" ? 1 : 2);
      let narrowed = 0;
      for (let round = 0; round < 15; round++) {
        const selection = await chooseByChance(page, random);
        const expected = await site.tally(selection);
        if (expected.total < 240) narrowed++;
        const shown = () =>
          page
            .locator("trellis-listing [data-trellis-product]")
            .evaluateAll((all) => all.map((one) => one.getAttribute("data-trellis-product")));
        await expect.poll(shown, JSON.stringify(selection)).toEqual(expected.products.slice(0, 24));
        await expect(page.locator("[data-trellis-count]")).toHaveText(
          expected.total === 1 ? "1 product" : `${expected.total} products`,
        );
      }
      expect(narrowed).toBeGreaterThan(10);
      expect(complaints).toEqual([]);
    });

    test(`a list of the site's own keeps what tally finds, in 15 random choices`, async ({ page }) => {
      const { complaints } = await open(page, "own.html");
      await awake(page);
      await page.waitForTimeout(300);
      expect(await page.evaluate(() => window.shift)).toBe(0);
      const random = new Random(band === "wide" ? 3 : 4);
      for (let round = 0; round < 15; round++) {
        const selection = await chooseByChance(page, random);
        const expected = await site.tally(selection);
        // In the site's own order, which is the other way round.
        const seen = () => page.locator("[data-trellis-list] > li:visible article").allTextContents();
        await expect.poll(seen, JSON.stringify(selection)).toEqual([...expected.products].reverse());
        await expect(page.locator("[data-trellis-nothing]")).toBeVisible({ visible: expected.total === 0 });
      }
      expect(complaints).toEqual([]);
    });

    test(`as a form it leads to the site's page with what tally finds, in 15 random choices`, async ({ page }) => {
      const random = new Random(band === "wide" ? 5 : 6);
      const { complaints } = await open(page, "form.html");
      for (let round = 0; round < 15; round++) {
        await page.goto(`${server.origin}/form.html`);
        await awake(page);
        await chooseByChance(page, random);
        const button = page.locator(".zt-apply");
        const promised = Number(/\d+/.exec((await button.textContent()) ?? "")?.[0]);
        await button.click();
        await page.waitForURL("**/found.html*");
        await awake(page);
        const selection = await page.locator("trellis-panel").evaluate((panel: TrellisPanelElement) => panel.selection);
        const expected = await site.tally(selection ?? { choices: {}, text: "" });
        expect(expected.total).toBe(promised);
        expect(await page.locator("trellis-panel").evaluate((panel: TrellisPanelElement) => panel.found())).toEqual(
          expected.products,
        );
      }
      expect(complaints).toEqual([]);
    });

    test("without scripts it stands on its band and works as a form", async ({ browser }) => {
      const page = await browser.newPage({ javaScriptEnabled: false, viewport: size });
      const openPanel = async () => {
        const link = page.getByRole("link", { name: "Filters" });
        if (band === "slim") await link.click();
        else await expect(link).toHaveCount(0);
      };
      await page.goto(`${server.origin}/ours.html`);
      await openPanel();
      await expect(page.locator("form.zt-panel:visible")).toHaveCount(1);
      await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
      await page.locator("form.zt-panel:visible").getByRole("checkbox", { name: "Full sun" }).check();
      await page.locator("form.zt-panel:visible").getByRole("button", { name: "Show products" }).click();
      expect(new URL(page.url()).searchParams.getAll("light")).toEqual(["full sun"]);
      await page.goto(`${server.origin}/form.html`);
      await page.locator("form.zt-panel:visible .zt-apply").click();
      expect(new URL(page.url()).pathname).toBe("/found.html");
      await page.close();
    });

    test("nothing serious for axe", async ({ page }) => {
      for (const path of ["ours.html", "own.html", "form.html"]) {
        await open(page, path);
        await awake(page);
        await expectAccessible(page, "main");
      }
    });
  });
}

test("choices are in the address, as the site wants; back and reload keep them", async ({ page }) => {
  await open(page, "ours.html");
  await awake(page);
  await page.getByRole("checkbox", { name: "Shade", exact: false }).first().check();
  await expect(page).toHaveURL(/\?light=/);
  await page.reload();
  await awake(page);
  await expect(page.locator("[data-trellis-count]")).not.toHaveText("240 products");
  await page.getByRole("button", { name: "Clear all" }).click();
  await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
  await page.goBack();
  await expect(page.locator("[data-trellis-count]")).not.toHaveText("240 products");
  await open(page, "quiet.html");
  await awake(page);
  await page
    .locator("trellis-panel")
    .evaluate((panel: TrellisPanelElement) => panel.choose("light", { options: ["shade"] }));
  await expect(page.locator("[data-trellis-count]")).toHaveText("77 products");
  expect(new URL(page.url()).search).toBe("");
});

test("panels and listings of one group share a selection, those of another have their own", async ({ page }) => {
  await open(page, "twins.html");
  await awake(page, 2);
  const before = await page.locator("[data-trellis-count]").first().textContent();
  await page
    .locator("trellis-panel")
    .nth(1)
    .evaluate((panel: TrellisPanelElement) => panel.choose("light", { options: ["shade"] }));
  const counts = page.locator("[data-trellis-count]");
  await expect(counts.nth(0)).not.toHaveText(before ?? "");
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

test("a script that comes late finds what was chosen before it", async ({ page }) => {
  const head = site.piece(`${folder}/head.html`);
  const script = /src="([^"]+\.js)"/.exec(head)?.[1] ?? "";
  const parts = ["climber-finder", "listing"].map((name) => site.piece(`${folder}/pages/index/${name}.html`));
  site.page("late.html", head.replace(/<script.*<\/script>\n/, ""), parts.join(""));
  await open(page, "late.html");
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  await page.waitForTimeout(300);
  expect(await told(page, "ready")).toEqual([]);
  await page.evaluate(
    (src) => document.head.append(Object.assign(document.createElement("script"), { type: "module", src })),
    script,
  );
  await awake(page);
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeChecked();
});

test("a script that comes twice wakes the page once", async ({ page }) => {
  await open(page, "twice.html");
  await awake(page);
  await page.waitForTimeout(500);
  expect(await told(page, "ready")).toHaveLength(1);
  await expect(page.locator("trellis-panel form")).toHaveCount(1);
});

test("a list that the site changes is followed; more comes on a button; an order moves rows", async ({ page }) => {
  await open(page, "paged.html");
  await awake(page);
  const seen = page.locator("[data-trellis-list] > li:visible article");
  await expect(seen).toHaveCount(24);
  await page.locator("[data-trellis-more]").click();
  await expect(seen).toHaveCount(48);
  await page
    .locator("trellis-panel")
    .evaluate((panel: TrellisPanelElement) => panel.choose("light", { options: ["shade"] }));
  await expect(seen.first()).not.toHaveText("LM240");
  const first = await seen.first().textContent();
  await page.getByRole("combobox", { name: "Sort by" }).selectOption("price");
  await expect(seen.first()).not.toHaveText(first ?? "");
  const sorted = await seen.allTextContents();
  const found = await page.locator("trellis-panel").evaluate((panel: TrellisPanelElement) => panel.found());
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

test("what a page does wrong is told, and nothing is lost", async ({ page }) => {
  await open(page, "two-lists.html");
  await awake(page);
  expect(await told(page, "trouble")).toMatchObject([{ of: "list" }]);
  await open(page, "strangers.html");
  await awake(page);
  const [trouble] = await told(page, "trouble");
  expect(trouble).toMatchObject({ of: "products", message: expect.stringMatching(/ZZ9.*LM001/) });
  await expect(page.locator("[data-trellis-list] > li:visible")).toHaveCount(3);
});

test("a part that is missing, cut off or of another version is named, and the form stays usable", async ({ page }) => {
  const cases: [part: RegExp, of: string, change: (bytes: Buffer) => { status: number; body?: Buffer }][] = [
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
  ];
  for (const [part, of, change] of cases) {
    instead = (path) => (part.test(path) ? change(readFileSync(join(site.root, path))) : undefined);
    await open(page, "ours.html");
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

/** Rules that a site may have, heavier than most: all of them would change a panel that does not stand up to them. */
const heavy = `
html { font-size: 62.5%; }
* { box-sizing: content-box; letter-spacing: 2px; line-height: 2; transition: all 3s !important; }
body { color: #c00; font: italic 700 2.4rem/2 serif; text-align: right; text-transform: uppercase; word-spacing: 9px; cursor: crosshair; }
*::before, *::after { content: "!" !important; color: lime !important; }
label, input, button, select, summary { display: block !important; margin: 11px !important; padding: 9px !important; border: 5px dashed red !important; background: yellow !important; color: blue !important; font: 900 30px fantasy !important; min-height: 70px !important; float: right !important; }
ul, li, section, form, fieldset, div div { margin: 8px; padding: 6px; list-style: square inside !important; background: pink; opacity: 0.9; }
h1, h2, h3, h4 { font-size: 50px !important; text-shadow: 2px 2px red; }
a, a:hover { color: green !important; text-decoration: overline !important; }
span, output, p { font-weight: 100 !important; padding: 3px; display: block; }
img, svg { max-width: 9px !important; border: 3px solid; }
path { fill: red; stroke: lime; transform: rotate(9deg); }
dialog { all: unset !important; }
`;

/** All computed styles of a panel, element by element, and of what stands before and after each; of a path what it paints. */
const stylesOf = (page: Page) =>
  page.evaluate(() => {
    const paints = [
      "fill",
      "stroke",
      "stroke-width",
      "stroke-linecap",
      "d",
      "transform",
      "opacity",
      "visibility",
      "display",
    ];
    const root = document.querySelector(".zt-root");
    const met = new Map<string, number>();
    return [...(root?.querySelectorAll("*") ?? [])]
      .filter((element) => {
        // Of many options that are alike the first few tell all.
        const kind = `${element.parentElement?.getAttribute("class")} ${element.tagName} ${element.getAttribute("class")}`;
        met.set(kind, (met.get(kind) ?? 0) + 1);
        return element.tagName !== "NOSCRIPT" && (met.get(kind) ?? 0) <= 4;
      })
      .flatMap((element) =>
        (element.tagName === "path" ? [""] : ["", "::before", "::after"]).map((pseudo) => {
          const style = getComputedStyle(element, pseudo);
          // Of what is not there it only matters that it stays so.
          const absent = pseudo !== "" && style.content === "none";
          const names = element.tagName === "path" ? paints : absent ? ["content"] : [...style];
          const said = names.map((name) => [name, style.getPropertyValue(name)]);
          return {
            of: `${element.tagName}.${element.getAttribute("class")}${pseudo}`,
            style: Object.fromEntries(said),
          };
        }),
      );
  });

for (const size of [wide, slim])
  test(`a heavy style sheet of the site changes no computed style of the panel, ${size.width} px wide`, async ({
    page,
  }) => {
    await page.setViewportSize(size);
    const head = site.piece(`${folder}/head.html`);
    const panel = site.piece(`${folder}/pages/index/climber-finder.html`);
    const box =
      "trellis-panel { all: initial !important; display: block !important; position: absolute !important; inset: 20px auto auto 20px !important; width: 280px !important; }";
    site.put("plain.css", box);
    site.put("heavy.css", heavy + box);
    const seen: Awaited<ReturnType<typeof stylesOf>>[] = [];
    for (const name of ["plain", "heavy"]) {
      site.page(`${name}.html`, `${head}<link rel="stylesheet" href="/${name}.css">\n`, panel);
      await open(page, `${name}.html`);
      await awake(page);
      await page.mouse.move(0, 0);
      await page.waitForTimeout(300);
      seen.push(await stylesOf(page));
    }
    const [plain = [], other = []] = seen;
    expect(plain.length).toBeGreaterThan(200);
    expect(other.length).toBe(plain.length);
    const changed = plain.flatMap(({ of, style }, at) =>
      Object.entries(style).flatMap(([name, value]) => {
        const now = other[at]?.style[name];
        return now === value ? [] : [`${of} ${name}: ${value} → ${now}`];
      }),
    );
    expect([...new Set(changed)].slice(0, 40)).toEqual([]);
  });

test("it works from another origin, and opened from a disk it is right as far as browsers let it", async ({
  page,
  browser,
}) => {
  const files = await serveFiles(
    { "/kept/": join(site.root, "kept") },
    { headers: { "access-control-allow-origin": "*" } },
  );
  site.handOver("kept", "--at", `${files.origin}/kept/`, "--page", "/");
  site.page(
    "foreign.html",
    site.piece("kept/head.html"),
    site.piece("kept/pages/index/climber-finder.html") + site.piece("kept/pages/index/listing.html"),
  );
  const policy = { "content-security-policy": `default-src 'self' ${files.origin}` };
  const own = await serveFiles({ "/demo/": "demo", "/": site.root }, { headers: policy });
  await open(page, "about:blank").catch(() => {});
  await page.goto(`${own.origin}/foreign.html`);
  await awake(page);
  await page
    .locator("trellis-panel")
    .evaluate((panel: TrellisPanelElement) => panel.choose("light", { options: ["shade"] }));
  await expect(page.locator("[data-trellis-count]")).toHaveText("77 products");
  await own.close();
  await files.close();

  // From a disk browsers run no modules: what is there is the form, in its own style.
  const disk = await browser.newPage();
  await disk.goto(`file://${join(site.root, folder, "try.html")}`);
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
}) => {
  const stale = site
    .piece(`${folder}/pages/index/climber-finder.html`)
    .replace(/catalogue\.\w+\.bin/, "catalogue.000000000000.bin")
    .replaceAll("Full sun", "Old sun");
  site.page("stale.html", site.piece(`${folder}/head.html`), stale);
  await open(page, "stale.html");
  await awake(page);
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeVisible();
  await expect(page.getByText("Old sun")).toHaveCount(0);
  await page.evaluate(async () => {
    const panel = document.querySelector("trellis-panel") as HTMLElement;
    const place = panel.parentElement as HTMLElement;
    panel.remove();
    await new Promise((done) => setTimeout(done, 50));
    place.append(panel);
  });
  await awake(page, 2);
  await page.getByRole("checkbox", { name: "Full sun" }).check();
  expect(await page.locator("trellis-panel").evaluate((panel: TrellisPanelElement) => panel.results)).toEqual({
    total: 92,
    outOf: 240,
  });
  // A listing that joins wakes the group once more; what is chosen, what is drawn and what has the focus stay.
  await page.evaluate(
    (html) => {
      const more = document.createElement("div");
      more.append(document.createRange().createContextualFragment(html));
      document.querySelector("main")?.append(more);
    },
    site.piece(`${folder}/pages/index/listing.html`),
  );
  await expect(page.locator("[data-trellis-count]")).toHaveText("92 products");
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeChecked();
  await expect(page.getByRole("checkbox", { name: "Full sun" })).toBeFocused();
  await page.getByRole("checkbox", { name: "Full sun" }).uncheck();
  await expect(page.locator("[data-trellis-count]")).toHaveText("240 products");
});
