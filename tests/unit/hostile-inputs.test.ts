import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { MikroORM } from "@mikro-orm/libsql";
import fc from "fast-check";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { type WireAnswer, wireAnswer } from "../../src/core/engine/answer.ts";
import { createApp } from "../../src/server/app.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { createShop } from "../../src/server/store/shops.ts";
import { deep, type OddRequest, oddAddresses, oddDocuments, oddFiles, question } from "../attack/odd-input.ts";
import { newShopOf } from "../new-shop.ts";

// Every route with wrong, odd and broken input, the same at every run. Whatever comes, the answer is the caller's
// fault or a right one, in a sentence. The lists of inputs: common practice, no source.
const seed = 20_261_128;
const csv = readFileSync("demo/nursery.csv", "utf8").split("\n").slice(0, 120).join("\n");
const shop = "hostile";
let orm: MikroORM;
let app: Hono;

beforeAll(async () => {
  orm = await openDatabase(":memory:");
  const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
  await createShop(orm.em.fork(), { name: "Hostile", currency: "EUR", ...newShopOf(catalogue) });
  app = createApp({ orm, root: join(import.meta.dirname, "../..") });
});
afterAll(() => orm.close(true));

const ask = async (path: string, init: RequestInit = {}) =>
  app.request(`http://127.0.0.1${path}`, {
    ...init,
    headers: { host: "127.0.0.1", origin: "http://127.0.0.1", ...init.headers },
  });
const sendJson = (method: string, path: string, body: string) =>
  ask(path, { method, body, headers: { "content-type": "application/json" } });

/** The answer is no fault of the server's, and one of the interface that refuses says why. */
async function expectSound(answer: Response, what: string): Promise<void> {
  const text = await answer.text();
  expect(answer.status, `${what}: ${text.slice(0, 300)}`).toBeLessThan(500);
  if (answer.status >= 400 && answer.headers.get("content-type")?.startsWith("application/json"))
    expect(JSON.parse(text).error, what).toMatch(/\w+ \w+.*[.:]/s);
}

describe("odd and hostile input", () => {
  const holds = (requests: fc.Arbitrary<OddRequest>, numRuns: number) =>
    fc.assert(
      fc.asyncProperty(requests, async ({ path, init, what }) => expectSound(await ask(path, init), what)),
      { seed, numRuns, endOnFailure: true },
    );

  it("in any place of a document or a question never is the server's fault", { timeout: 120_000 }, async () => {
    for (const requests of await oddDocuments(ask, shop)) await holds(requests, 50);
    await expectSound(await ask(`/draft/${shop}/`), "the page afterwards");
  });

  it("in the address of a page or a question never is the server's fault", { timeout: 120_000 }, async () => {
    await holds(oddAddresses(shop), 300);
  });

  it("in files never is the server's fault", { timeout: 120_000 }, async () => {
    await holds(await oddFiles(ask, shop, csv), 80);
  });

  it("around a request is refused in a sentence", async () => {
    const json = { "content-type": "application/json" };
    const form = (type: string) => ({ "content-type": type });
    const cases: [path: string, init: RequestInit][] = [
      ["/api/shops", { method: "POST", body: "x", headers: form("multipart/form-data") }],
      ["/api/folders", { method: "POST", body: "x", headers: form("multipart/form-data; boundary=y") }],
      [`/api/shops/${shop}/pictures`, { method: "POST", body: "", headers: form("multipart/form-data; boundary=") }],
      [
        `/api/shops/${shop}/catalogue`,
        { method: "POST", body: "file=x", headers: form("application/x-www-form-urlencoded") },
      ],
      [`/api/shops/${shop}/ask`, { method: "POST", body: deep(200_000), headers: json }],
      [`/api/shops/${shop}/ask`, { method: "POST", body: `{"facets":${deep(20_000)}}`, headers: json }],
      [`/api/shops/${shop}/documents/mends`, { method: "PUT", body: "{", headers: json }],
      [`/api/shops/${shop}/documents/constructor`, {}],
      [`/api/shops/${shop}/editions`, { method: "POST", body: '{"note":"a\\u0000b"}', headers: json }],
      ["/api/shops/%00", {}],
      ["/api/shops/%zz", {}],
      ["/pictures/%00/%00", {}],
      [`/draft/${shop}/%0d%0aX:y`, {}],
    ];
    for (const [path, init] of cases) {
      const answer = await ask(path, init);
      expect(answer.status, path).toBeGreaterThanOrEqual(400);
      await expectSound(answer, path);
    }
  });

  it("as names of fields, options and columns means what it says", async () => {
    const names = ["constructor", "__proto__", "toString", "hasOwnProperty", "valueOf"];
    const rows = names.map((name, i) => [`p${i}`, `Title ${i}`, ...names.map(() => name)].join(","));
    const form = new FormData();
    form.set("file", new File([`product_id,title,${names.join(",")}\n${rows.join("\n")}\n`], "names.csv"));
    form.set("name", "Names");
    form.set("currency", "EUR");
    const made = await ask("/api/shops", { method: "POST", body: form });
    expect(made.status).toBe(201);
    const { fields } = (await made.json()) as { fields: { key: string; name: string; role: string }[] };
    const keys = fields.filter(({ role }) => /^(attribute|brand)$/.test(role)).map(({ key }) => key);
    expect(keys).toHaveLength(names.length);
    const facets = keys.map((field) => ({ field, mode: "any" }));
    const everything = { ...question, facets, within: [], selection: { choices: {}, text: "" }, sort: "" };
    const answer = await sendJson("POST", "/api/shops/names/ask", JSON.stringify(everything));
    expect(answer.status).toBe(200);
    const told: WireAnswer = wireAnswer.validateSync(await answer.json());
    for (const key of keys) {
      const { options, counts } = told.facets[key]?.steady ?? {};
      expect(options?.map(({ id }) => id).sort(), key).toEqual(names.map((name) => name.toLowerCase()).sort());
      expect(counts, key).toEqual(names.map(() => 1));
    }
    expect((await ask("/draft/names/")).status).toBe(200);
  });
});
