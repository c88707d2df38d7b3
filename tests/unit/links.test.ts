import { readFileSync } from "node:fs";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { demoPages } from "../../demo/pages.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { LocalFacts } from "../../src/core/facts/local-facts.ts";
import { CatalogueIndex } from "../../src/core/index/catalogue-index.ts";
import { pageList } from "../../src/core/page/page-list.ts";
import { createApp } from "../../src/server/app.ts";
import { demoDatabase } from "../demo-database.ts";

let app: Hono;
let close: () => Promise<void>;
const own = { host: "127.0.0.1", origin: "http://127.0.0.1", "content-type": "application/json" };
const shop = "larkmoss-nursery";
const get = (path: string) => app.request(`http://127.0.0.1${path}`, { headers: own });
const send = (method: string, path: string, body: object) =>
  app.request(`http://127.0.0.1${path}`, { method, headers: own, body: JSON.stringify(body) });

/** Changes a document of the demo shop. */
// biome-ignore lint/suspicious/noExplicitAny: a document of any kind, as JSON
async function change(kind: string, edit: (document: any) => void): Promise<void> {
  const path = `/api/shops/${shop}/documents/${kind}`;
  const { version, document } = await (await get(path)).json();
  edit(document);
  const answer = await send("PUT", path, { version, document });
  expect([kind, answer.status, answer.ok ? "" : await answer.text()]).toEqual([kind, 200, ""]);
}

const text = (id: string, html: string) => ({ kind: "piece", piece: "text", id, label: "", html });
const links = (id: string, field: string) => ({
  ...{ kind: "piece", piece: "links", id, label: "", field, mode: "any", values: "all", counts: true },
});

beforeAll(async () => {
  const demo = await demoDatabase();
  app = createApp({ orm: demo.orm, root: process.cwd() });
  close = demo.close;
  const inside = '<p><a href="/collections/gifts">Gifts</a> <a href="/">All</a> <a href="/search?q=rose">Roses</a></p>';
  await change("panel/climber-finder", (panel) => panel.rows.push(text("t1", inside), links("l1", "light")));
  // A panel in an article that sends its choices to a collection with a condition of its own.
  await change("panel/beside-the-text", (panel) => {
    panel.behaviour = { ...panel.behaviour, sendTo: "/collections/gifts" };
    panel.rows.push(links("l2", "light"), text("t2", inside));
  });
  await change("pages", (pages) => {
    pages.menu.push({ id: "m9", label: "Presents", to: "/collections/gifts" });
    for (const article of pages.articles) article.html += inside;
    for (const collection of pages.collections) collection.html += inside;
    const within = [{ field: "availability", options: ["in stock"] }];
    pages.exceptions["/collections/gifts"] = { ...pages.exceptions["/collections/gifts"], within };
  });
  expect((await send("POST", `/api/shops/${shop}/editions`, { note: "" })).status).toBe(201);
});
afterAll(() => close());

const facts = new LocalFacts(new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue));
/** Every page of the demo shop, whether another links to it or not. */
const addresses = pageList(demoPages, facts.pageFacts()).map(({ address }) => address);

const plain = (html: string) => html.replace(/<\/?bdi>/g, "");
const hrefs = (html: string) =>
  [...html.matchAll(/<a [^>]*href="([^"]*)"/g)].map(([, to = ""]) => to.replaceAll("&amp;", "&"));
const totalOf = (html: string) => Number((/([\d,]+) products?</.exec(plain(html))?.[1] ?? "0").replaceAll(",", ""));

describe("every link of a shop", () => {
  it.each(["shop", "draft", "edition"])("leads to a page of the shop that is there, in /%s/", async (of) => {
    const base = `/${of}/${shop}${of === "edition" ? "/2" : ""}`;
    const seen = new Set(addresses.map((address) => base + encodeURI(address)));
    const next = [...seen];
    const wrong: string[] = [];
    while (next.length > 0 && seen.size < 400) {
      const path = next.pop() ?? "";
      const answer = await get(path);
      const html = await answer.text();
      if (answer.status !== 200) wrong.push(`${path}: ${answer.status}`);
      const body = html.slice(html.indexOf('<div id="zt-page">'), html.indexOf('class="tool-state"') + 1 || undefined);
      for (const to of hrefs(body)) {
        if (/^(?:https?:|mailto:|tel:|#)/.test(to)) continue;
        const { pathname, search } = new URL(to, `http://127.0.0.1${path}`);
        if (!pathname.startsWith(`${base}/`) && pathname !== base) wrong.push(`${path} leads out to ${to}`);
        // Products are many and alike, and so are choices.
        else if (!seen.has(pathname) && !/\/products\//.test(pathname) && search === "") {
          seen.add(pathname);
          next.push(pathname);
        }
      }
    }
    expect(wrong).toEqual([]);
    expect(seen.size).toBeGreaterThan(40);
  });

  it("with a number beside it leads to so many products", async () => {
    const base = `/shop/${shop}`;
    let checked = 0;
    for (const page of ["/", "/collections/gifts", "/articles/choosing-a-climber", "/articles/plants-and-pets"]) {
      const html = plain(await (await get(base + page)).text());
      const counted = /<li><a href="([^"]+)"[^>]*>[^<]*<\/a><span class="zt-count">\s*([\d,]+)<\/span>/g;
      for (const [, to = "", count = ""] of html.matchAll(counted)) {
        const target = new URL(to.replaceAll("&amp;", "&"), `http://127.0.0.1${base}${page}`);
        const found = totalOf(await (await get(target.pathname + target.search)).text());
        expect([page, to, found]).toEqual([page, to, Number(count.replaceAll(",", ""))]);
        expect(found).toBeGreaterThan(0);
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(4);
  });
});
