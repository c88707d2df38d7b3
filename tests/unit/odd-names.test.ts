import type { MikroORM } from "@mikro-orm/libsql";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { kinds } from "../../src/core/shop/kinds.ts";
import { createApp } from "../../src/server/app.ts";
import { openDatabase } from "../../src/server/store/database.ts";

let orm: MikroORM;
let app: Hono;
beforeAll(async () => {
  orm = await openDatabase(":memory:");
  app = createApp({ orm, root: process.cwd() });
});
afterAll(() => orm.close(true));

const own = { host: "127.0.0.1", origin: "http://127.0.0.1" };
const ask = (path: string, init: RequestInit = {}) =>
  app.request(`http://127.0.0.1${path}`, { ...init, headers: { ...own, ...init.headers } });
const json = (method: string, path: string, body: object = {}) =>
  ask(path, { method, body: JSON.stringify(body), headers: { "content-type": "application/json" } });
async function newShop(name: string, csv: string): Promise<{ status: number; slug: string; text: string }> {
  const form = new FormData();
  form.set("name", name);
  form.set("currency", "EUR");
  form.set("file", new File([csv], "shop.csv"));
  const answer = await ask("/api/shops", { method: "POST", body: form });
  const text = await answer.text();
  return { status: answer.status, slug: answer.ok ? JSON.parse(text).slug : "", text };
}

// Words of our own routes, properties that every object has, scripts and lengths: common practice, no source.
const words = ["order", "restore", "removed", "documents", "panel", "editions", "ask", "data", "new", "shops", "draft"];
const odd = [
  ...["constructor", "__proto__", "toString", "hasOwnProperty", "prototype"],
  ...[
    "🌱🌿",
    "👩‍👩‍👧",
    "لون الزهرة",
    "花の色",
    "a\u202Eb",
    "x".repeat(200),
    "·",
    "<b>bold</b>",
    "a|b",
    "q",
    "sort",
    "page",
    "50%",
  ],
];

describe("names", () => {
  it("of panels and looks can be any word: they are saved, opened, removed and restored", async () => {
    const { slug: shop } = await newShop("Words", "product_id,title,colour\na,A,red\nb,B,blue\n");
    for (const kind of Object.values(kinds).filter(({ many }) => many))
      for (const name of [...words, ...odd].map((one) => one.slice(0, 100))) {
        const made = await json("POST", `/api/shops/${shop}/documents/${kind.name}`, { name });
        expect([name, made.status]).toEqual([name, 201]);
        const path = `/api/shops/${shop}/documents/${kind.name}/${encodeURIComponent((await made.json()).slug)}`;
        const { version, document } = await (await ask(path)).json();
        const saved = await json("PUT", path, { version, document: { ...document, name: `${name.slice(0, 90)} 2` } });
        expect([name, saved.status]).toEqual([name, 200]);
        expect((await ask(path, { method: "DELETE" })).status).toBe(200);
        expect([name, (await ask(`${path}/restore`, { method: "POST" })).status]).toEqual([name, 200]);
      }
    const panels = await (await ask(`/api/shops/${shop}/documents/panel`)).json();
    const slugs = panels.map(({ slug }: { slug: string }) => slug).reverse();
    const ordered = await json("PUT", `/api/shops/${shop}/document-order/panel`, { slugs });
    expect((await ordered.json()).map(({ slug }: { slug: string }) => slug)).toEqual(slugs);
    // All of them in one folder, out and in again.
    const zip = await ask(`/api/shops/${shop}/folder.zip`);
    const form = new FormData();
    form.set("file", new File([await zip.arrayBuffer()], "shop.zip"));
    const again = await ask("/api/folders", { method: "POST", body: form });
    expect([again.status, (await again.json()).panels.length]).toEqual([201, panels.length]);
  });

  it.each(words)("of a shop can be “%s”", async (word) => {
    const { slug, status } = await newShop(word, "product_id,title\na,A\n");
    expect(status).toBe(201);
    expect((await ask(`/api/shops/${slug}`)).status).toBe(200);
    expect((await ask(`/draft/${slug}/`)).status).toBe(200);
    expect((await ask(`/api/shops/${slug}`, { method: "DELETE" })).status).toBe(200);
  });

  it("of columns can be anything: the shop opens, is drawn, published, exported and counted", async () => {
    const headings = [...odd.filter((one) => one !== "·"), "y".repeat(205), "z".repeat(499), "Ä".repeat(300)];
    const cell = (text: string) => `"${text.replaceAll('"', '""')}"`;
    const rows = Array.from({ length: 12 }, (_, p) => [
      `p${p}`,
      `T${p}`,
      ...headings.map((_, c) => `v${(p * (c + 3)) % 4}`),
    ]);
    const csv = [["product_id", "title", ...headings], ...rows].map((row) => row.map(cell).join(",")).join("\n");
    const { slug, status, text } = await newShop("Columns", csv);
    expect([status, text]).toEqual([201, expect.stringContaining("columns")]);
    const { fields, panels } = JSON.parse(text);
    expect(new Set(fields.map(({ key }: { key: string }) => key)).size).toBe(fields.length);
    expect(fields.length).toBeGreaterThan(headings.length);
    for (const { key } of fields) expect(key.length).toBeLessThan(100);
    for (const path of [
      `/api/shops/${slug}`,
      `/api/shops/${slug}/overview`,
      `/api/shops/${slug}/documents/panel/${panels[0].slug}`,
      `/api/shops/${slug}/folder.zip`,
      `/api/shops/${slug}/catalogue.csv`,
      `/draft/${slug}/`,
    ])
      expect([path, (await ask(path)).status]).toEqual([path, 200]);
    expect((await json("POST", `/api/shops/${slug}/editions`, { note: "" })).status).toBe(201);
    expect((await ask(`/shop/${slug}/`)).status).toBe(200);
    const facets = fields.slice(-11).map(({ key }: { key: string }) => ({ field: key, mode: "any" }));
    const selection = { text: "", choices: { [facets[0].field]: { options: ["v0"] } } };
    const question = { within: [], facets, selection, sort: "", from: 0, size: 1, has: [] };
    expect((await (await json("POST", `/api/shops/${slug}/ask`, question)).json()).total).toBeGreaterThan(0);
  });

  it("of columns that are longer than any heading are refused in a sentence", async () => {
    const { status, text } = await newShop("Long", `product_id,${"x".repeat(501)}\na,b\n`);
    expect([status, JSON.parse(text).error]).toEqual([422, expect.stringContaining("has 501 characters")]);
    const many = await newShop("Many", `${Array.from({ length: 2001 }, (_, i) => `c${i}`).join(",")}\n`);
    expect(JSON.parse(many.text).error).toContain("2,001 columns");
  });
});
