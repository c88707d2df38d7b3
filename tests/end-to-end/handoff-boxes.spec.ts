import { demoPages } from "../../demo/pages.ts";
import { demoPanel } from "../../demo/panel.ts";
import { emptyPanel, newFacet } from "../../src/core/panel/panel.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { newPiece } from "../../src/core/panel/pieces.ts";
import { type Placement, placements } from "../../src/core/settings/placement.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { newShop, origin } from "./bench.ts";
import { openForeign, ready } from "./foreign-site.ts";
import { expect, type Page, test } from "./test.ts";

const sizes = [
  [1280, 800],
  [800, 900],
  [390, 844],
] as const;

/** A panel with every kind of row that has a layout of its own. */
const panelIn = (placement: Placement, name: string, behaviour: PanelDocument["behaviour"] = {}): PanelDocument => ({
  ...emptyPanel(name),
  placement: { wide: placement },
  behaviour,
  rows: [
    { ...newPiece("heading", "heading"), label: "Find yours" },
    ...demoPanel.rows,
    newFacet("f-size", "pot-size", "dropdown", "any", { share: { wide: "half" } }),
    newFacet("f-evergreen", "evergreen", "check-boxes", "any", { share: { wide: "half" } }),
    newPiece("clear", "clear"),
  ],
});

/** The panels by name, and whether their page is an article. */
const shown = Object.fromEntries([
  ...placements
    .filter((placement) => placement !== "absent")
    .map((placement) => [placement, panelIn(placement, `In ${placement}`)] as const),
  ["floating", panelIn("article", "Floating", { float: { wide: "left" }, floatWidth: { wide: 300 } })],
]);

interface Boxes {
  width: number;
  boxes: Record<string, string>;
}

/** The box of each visible element of a panel, relative to the panel, and the width that the panel has. */
const boxesOf = (page: Page, panel: string): Promise<Boxes> =>
  page.evaluate((slug) => {
    const isShown = (one: Element) => one.getClientRects().length > 0;
    const around = [...document.querySelectorAll(`[data-of="${slug}"][data-placement]`)];
    const drawer = around.map((one) => one.querySelector("dialog[open]")).find((one) => one !== null);
    const own = drawer ?? around.find(isShown);
    if (!own) return { width: 0, boxes: {} };
    const start = own.getBoundingClientRect();
    const round = (px: number) => Math.round(px * 2) / 2;
    const met = new Map<string, number>();
    // An error message has its place in the shop's list, and takes no room while it is empty.
    const apart = "noscript, svg > *, .zt-trouble:empty";
    const all = [...own.querySelectorAll("*")].filter((one) => isShown(one) && !one.closest(apart));
    const boxes = all.map((one) => {
      const { x, y, width, height } = one.getBoundingClientRect();
      const name = `${one.tagName}.${one.getAttribute("class") ?? ""}`;
      met.set(name, (met.get(name) ?? 0) + 1);
      return [`${name} ${met.get(name)}`, [x - start.x, y - start.y, width, height].map(round).join(" ")];
    });
    return { width: start.width, boxes: Object.fromEntries(boxes) };
  }, panel);

/** Opens what is behind a button: a drawer, or a folded panel. */
async function openAll(page: Page, panel: string): Promise<void> {
  const folded = page.locator(`details[data-of="${panel}"]:visible > summary`);
  if ((await folded.count()) > 0) await folded.click();
  const button = page.locator(`button.zt-drawer-button[data-of="${panel}"]:visible`);
  if ((await button.count()) > 0) {
    await button.click();
    await page.locator("dialog[open]").evaluate((one) => Promise.all(one.getAnimations().map((each) => each.finished)));
  }
}

test("a panel has the same boxes on a site as in the shop, in every placement and on every band", async ({
  page,
  request,
}) => {
  const shop = await newShop(request, "Boxes");
  const documents = `/api/shops/${shop}/documents`;
  const slugs = new Map<string, string>();
  for (const [name, document] of Object.entries(shown)) {
    const made = await request.post(`${documents}/panel`, { data: { document }, headers: origin });
    expect(made.status(), await made.text()).toBe(201);
    slugs.set(name, (await made.json()).slug);
  }
  const inArticle = ["article", "floating"];
  const panelsOf = (names: readonly string[]) => names.map((name) => ({ panel: slugs.get(name) ?? "" }));
  // A drawer lies over the others once it is open, so it comes last.
  const others = [...slugs.keys()]
    .filter((name) => !inArticle.includes(name))
    .sort((a, b) => Number(a === "drawer") - Number(b === "drawer"));
  const [article] = demoPages.articles;
  const read = `/articles/${article?.slug}`;
  const saved = await request.put(`${documents}/pages`, {
    data: {
      version: 0,
      document: {
        ...demoPages,
        layouts: { shop: { panels: panelsOf(others) } },
        exceptions: { [read]: { panels: panelsOf(inArticle) } },
      },
    },
    headers: origin,
  });
  expect(saved.status(), await saved.text()).toBe(200);

  const site = await HandoffSite.fetched(origin.origin, shop);
  site.handOver("trellis", "--at", "/trellis/", "--page", "/", "--page", read);
  site.put("site.css", "");
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head = site.piece("trellis/head.html");
  const piece = (path: string) => site.piece(`trellis/pages/${path}.html`);
  site.page(
    "list.html",
    head,
    others.map((name) => piece(`index/${slugs.get(name)}`)).join("") + piece("index/listing"),
  );
  site.page("read.html", head, inArticle.map((name) => piece(`articles/${article?.slug}/${slugs.get(name)}`)).join(""));
  const server = await serveFiles({ "/demo/": "demo", "/": site.root }, { headers: strictPolicy });
  // A typeface shows only where it is there for the first frame, and widths of words depend on it.
  await page.route(/\.woff2$/, (route) => route.abort());
  const differences: string[] = [];
  try {
    for (const [width, height] of sizes) {
      await page.setViewportSize({ width, height });
      for (const [path, foreign, names] of [
        ["", "list.html", others.filter((name) => name !== "nothing")],
        ["?mature-height.min=1&mature-height.max=2", "list.html?mature-height.min=1&mature-height.max=2", ["nothing"]],
        [read, "read.html", inArticle],
      ] as const) {
        await page.goto(`/draft/${shop}${path}`);
        await page.locator("html[data-ready]").waitFor();
        const expected = new Map<string, Boxes>();
        for (const name of names) {
          await openAll(page, slugs.get(name) ?? "");
          expected.set(name, await boxesOf(page, slugs.get(name) ?? ""));
        }
        await openForeign(page, `${server.origin}/${foreign}`);
        await ready(page);
        for (const name of names) {
          const slug = slugs.get(name) ?? "";
          const room = expected.get(name)?.width ?? 0;
          expect(room, `${name} at ${width} px`).toBeGreaterThan(100);
          // A site gives a panel its width, except where the panel itself has one.
          if (name !== "drawer" && !(name === "floating" && width > 750))
            await page
              .locator(`trellis-panel[panel="${slug}"]`)
              .evaluate((one, px) => Object.assign(one.style, { width: `${px}px` }), room);
          await openAll(page, slug);
          const { boxes } = await boxesOf(page, slug);
          const wanted = expected.get(name)?.boxes ?? {};
          expect(Object.keys(wanted).length, `${name} at ${width} px`).toBeGreaterThan(100);
          for (const key of new Set([...Object.keys(wanted), ...Object.keys(boxes)]))
            if (wanted[key] !== boxes[key])
              differences.push(`${name} ${width} ${key}: ${wanted[key]} in the shop, ${boxes[key]} on a site`);
        }
      }
    }
    expect(differences.slice(0, 30)).toEqual([]);
  } finally {
    server.close();
  }
});
