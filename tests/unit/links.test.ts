import { readFileSync } from "node:fs";
import { selectAll } from "css-select";
import { type AnyNode, isTag } from "domhandler";
import { getAttributeValue, textContent } from "domutils";
import type { Hono } from "hono";
import { parseDocument } from "htmlparser2";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { demoPages } from "../../demo/pages.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { pageList } from "../../src/core/page/page-list.ts";
import { LocalFacts } from "../../src/core/profile/local-facts.ts";
import { createApp } from "../../src/server/app.ts";
import { sampleSiteFiles } from "../../src/server/sample-site.ts";
import { stateOf } from "../../src/server/store/editions.ts";
import { findShop } from "../../src/server/store/shops.ts";
import { demoDatabase } from "../demo-database.ts";

let app: Hono;
let close: () => Promise<void>;
let wholeShop: () => ReturnType<typeof stateOf>;
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
  wholeShop = async () => {
    const em = demo.orm.em.fork();
    const found = await findShop(em, shop);
    if (!found) throw new Error("The demo shop is there.");
    return stateOf(em, found, 1);
  };
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
    // Three panels in one article.
    const [first] = pages.articles;
    pages.exceptions[`/articles/${first.slug}`] = {
      panels: ["climber-finder", "three-questions", "beside-the-text"].map((panel, after) => ({
        panel,
        at: { wide: "article" },
        after,
      })),
      listing: true,
    };
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

/** The text of a node, without what stands in it for the page's own use. */
const textIn = (node: AnyNode): string => textContent(node).replace(/[\u2066-\u2069]/g, "");
const attributeOf = (node: AnyNode, name: string) => (isTag(node) ? getAttributeValue(node, name) : undefined);
const numberIn = (text: string): number => Number((/[\d,]+/.exec(text)?.[0] ?? "NaN").replaceAll(",", ""));

/** Everything of a page that says how many products it leads to, with where that is; each band has its own. */
function promisesOn(html: string): { to: string; says: number }[] {
  const page = parseDocument(html);
  return selectAll("form.zt-panel", page).flatMap((form) => {
    const action = attributeOf(form, "action") || "?";
    const behind = (name: string, value: string) =>
      `${action}${action.includes("?") ? (action === "?" ? "" : "&") : "?"}${new URLSearchParams([[name, value]])}`;
    const options = selectAll("label", form).flatMap((label) => {
      const [input] = selectAll("input[name][value]", label);
      const [count] = selectAll(".zt-count", label);
      if (!input || !count) return [];
      const [name = "", value = ""] = ["name", "value"].map((one) => attributeOf(input, one));
      return [{ to: behind(name, value), says: numberIn(textIn(count)) }];
    });
    const links = selectAll(".zt-links li", form).flatMap((item) => {
      const [[link], [count]] = [selectAll("a", item), selectAll(".zt-count", item)];
      const to = link && attributeOf(link, "href");
      return to && count ? [{ to, says: numberIn(textIn(count)) }] : [];
    });
    const buttons = selectAll("button.zt-apply", form)
      .map((button) => numberIn(textIn(button)))
      .flatMap((says) => (Number.isNaN(says) ? [] : [{ to: action, says }]));
    return [...options, ...links, ...buttons];
  });
}

/** The products that a page says it has found; undefined where it lists none. */
function foundOn(html: string): number | undefined {
  const [total] = selectAll(".zs-listing .zt-total", parseDocument(html));
  return total && numberIn(textIn(total));
}

const hrefs = (html: string) =>
  [...html.matchAll(/<a [^>]*href="([^"]*)"/g)].map(([, to = ""]) => to.replaceAll("&amp;", "&"));

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

  it("keeps what it says: options, links and buttons with a number lead to so many products, on every page and band", async () => {
    const base = `/shop/${shop}`;
    const found = new Map<string, number | undefined>();
    const lookUp = async (path: string) => {
      if (!found.has(path)) found.set(path, foundOn(await (await get(path)).text()));
      return found.get(path);
    };
    const wrong: string[] = [];
    let checked = 0;
    for (const [at, address] of addresses.entries()) {
      const html = await (await get(base + encodeURI(address))).text();
      // Of the many options of a page some are tried, others on each page.
      const promises = promisesOn(html).filter((_, n) => n % 7 === at % 7 || n < 3);
      for (const { to, says } of promises) {
        const target = new URL(to, `http://127.0.0.1${base}${encodeURI(address)}`);
        const there = await lookUp(target.pathname + target.search);
        // An article that lists nothing and leads nowhere is a finding of its own.
        if (there === undefined && /\/articles\//.test(target.pathname)) continue;
        if (there !== says) wrong.push(`${address}: ${to} says ${says}, and finds ${there}`);
        checked++;
      }
    }
    expect(wrong).toEqual([]);
    expect(checked).toBeGreaterThan(400);
  }, 120_000);

  it("leads on within the stand-in site, whatever it stands on there", async () => {
    const files = await sampleSiteFiles(await wholeShop(), process.cwd());
    const pages = [...files.keys()].filter((name) => name.endsWith(".html"));
    const wrong: string[] = [];
    let seen = 0;
    for (const name of pages) {
      const html = new TextDecoder().decode(files.get(name));
      for (const to of hrefs(html)) {
        if (/^(?:https?:|mailto:|tel:|#|\?)/.test(to)) continue;
        const { pathname } = new URL(to, `http://site.example/${name}`);
        const file = decodeURI(pathname).replace(/^\//, "") || "index.html";
        seen++;
        if (!files.has(file) && !file.startsWith("demo/")) wrong.push(`${name}: ${to}`);
      }
    }
    expect(wrong).toEqual([]);
    expect(seen).toBeGreaterThan(20);
  });
});
