import { demoPages } from "../../demo/pages.ts";
import { demoAside } from "../../demo/panel.ts";
import { emptyPanel, newFacet } from "../../src/core/panel/panel.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { newPiece } from "../../src/core/panel/pieces.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { newShop, origin } from "./bench.ts";
import { openForeign, ready } from "./foreign-site.ts";
import { expect, type Locator, test } from "./test.ts";

const { apply: _button, ...atOnce } = demoAside.behaviour ?? {};

/** Two questions that send on at the first choice, with links to the shop's collections. */
const eager: PanelDocument = {
  ...demoAside,
  behaviour: atOnce,
  rows: [
    newFacet("f-light", "light", "check-boxes", "any", { chosenCount: true }),
    newPiece("links", "links", { field: "collections", mode: "any", values: { except: ["gifts"] } }),
  ],
};
/** A row above the list that stays, with counts in corners and the top level of the categories. */
const row: PanelDocument = {
  ...emptyPanel("Row"),
  placement: { wide: "above" },
  behaviour: { sticky: { wide: true } },
  rows: [
    newPiece("chosen", "chosen"),
    {
      ...newFacet("f-top", "category", "tiles", "tree", { share: { wide: "full" } }),
      options: { show: "all", picked: [], labels: {}, merges: [], byHand: [], below: "" },
      look: { "tile.count-place": { wide: "top right" } },
    },
  ],
};

const style = (of: Locator, property: string) =>
  of.evaluate((one, name) => getComputedStyle(one).getPropertyValue(name), property);

test("on a site of files panels do as in the shop: they send on at once, stay in sight, and count in corners", async ({
  page,
  request,
}) => {
  const shop = await newShop(request, "Handed over");
  const documents = `/api/shops/${shop}/documents`;
  const slugs: string[] = [];
  for (const document of [row, eager]) {
    const made = await request.post(`${documents}/panel`, { data: { document }, headers: origin });
    expect(made.status(), await made.text()).toBe(201);
    slugs.push((await made.json()).slug);
  }
  const [article] = demoPages.articles;
  const saved = await request.put(`${documents}/pages`, {
    data: {
      version: 0,
      document: {
        ...demoPages,
        layouts: { shop: { panels: [{ panel: slugs[0] }] }, category: { panels: [{ panel: slugs[0] }] } },
        exceptions: { [`/articles/${article?.slug}`]: { panels: [{ panel: slugs[1] }] } },
      },
    },
    headers: origin,
  });
  expect(saved.status(), await saved.text()).toBe(200);

  const site = await HandoffSite.fetched(origin.origin, shop);
  const pages = ["/", `/articles/${article?.slug}`].flatMap((one) => ["--page", one]);
  site.handOver("trellis", "--at", "/trellis/", "--action", "/found.html", ...pages);
  site.put("site.css", "main { max-width: 900px; margin: auto }");
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head = site.piece("trellis/head.html");
  const piece = (path: string) => site.piece(`trellis/pages/${path}.html`);
  site.page("found.html", head, piece(`index/${slugs[0]}`) + piece("index/listing"));
  site.page("read.html", head, piece(`articles/${article?.slug}/${slugs[1]}`));
  const server = await serveFiles({ "/demo/": "demo", "/": site.root }, { headers: strictPolicy });
  try {
    for (const [width, height] of [
      [1280, 800],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      const { complaints } = await openForeign(page, `${server.origin}/read.html`);
      await ready(page);
      // Links lead where they say; those that the rule leaves out are not there.
      const links = page.locator(".zt-links a");
      await expect(links.filter({ hasText: /^Gifts$/ })).toHaveCount(0);
      const option = page.getByRole("checkbox", { name: /^Half shade/ });
      await expect(page.locator(".zt-apply:visible")).toHaveCount(0);
      await option.click();
      await expect(page).toHaveURL(/\/found\.html\?light=half\+shade$/);

      await ready(page);
      const panel = page.locator("trellis-panel");
      await expect(panel).toHaveAttribute("data-row-sticky", "kept");
      await page.evaluate(() => scrollTo(0, 600));
      const top = Number.parseFloat(await style(panel, "top"));
      await expect.poll(async () => Math.round((await panel.boundingBox())?.y ?? -1)).toBe(top);
      const tile = page.locator(".zt-tile").first();
      const count = tile.locator(".zt-count");
      expect([await style(count, "position"), await style(count, "top")]).toEqual(["absolute", "0px"]);
      const told = Number((await count.textContent())?.match(/\d+/)?.[0]);
      await tile.click();
      await expect(page.locator("[data-trellis-count]").first()).toHaveText(new RegExp(`^${told} products`));
      expect(complaints).toEqual([]);
    }
  } finally {
    server.close();
  }
});
