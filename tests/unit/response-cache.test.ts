import { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { createApp } from "../../src/server/app.ts";
import { shedLoad } from "../../src/server/load-shedding.ts";
import { demoDatabase } from "../demo-database.ts";

let app: ReturnType<typeof createApp>;
let close: () => Promise<void>;
const headers = { host: "127.0.0.1", origin: "http://127.0.0.1" };
const get = (path: string, more: Record<string, string> = {}) =>
  app.request(`http://127.0.0.1${path}`, { headers: { ...headers, ...more } });

beforeAll(async () => {
  const demo = await demoDatabase();
  app = createApp({ orm: demo.orm, root: process.cwd() });
  close = demo.close;
});
afterAll(() => close());

it("nobody signs in on a server for one computer", async () => {
  expect(await (await get("/api/tool")).json()).toEqual({ signedIn: false });
});

describe("pages of an edition", () => {
  it("are drawn once, are the same each time, and are not sent to those who have them", async () => {
    const first = await get("/shop/larkmoss-nursery/?light=shade");
    const text = await first.text();
    const tag = first.headers.get("etag") ?? "";
    expect([first.status, tag.length > 10]).toEqual([200, true]);
    expect(first.headers.get("content-security-policy")).toContain("script-src 'self'");
    const again = await get("/shop/larkmoss-nursery/?light=shade", { "if-none-match": tag });
    expect([again.status, await again.text()]).toEqual([304, ""]);
    expect(await (await get("/shop/larkmoss-nursery/?light=shade")).text()).toBe(text);
    const other = await get("/shop/larkmoss-nursery/?light=full+sun");
    expect(other.headers.get("etag")).not.toBe(tag);
  });

  it("are another as soon as another edition is published, and the draft is always as it is worked on", async () => {
    const path = "/api/shops/larkmoss-nursery/documents/panel/climber-finder";
    const { version, document } = await (await get(path)).json();
    const tag = (await get("/shop/larkmoss-nursery/")).headers.get("etag");
    const rows = document.rows.map((row: { id: string }) =>
      row.id === "f-light" ? { ...row, label: "Sun or none" } : row,
    );
    const send = (method: string, to: string, body: object) =>
      app.request(`http://127.0.0.1${to}`, {
        method,
        headers: { ...headers, "content-type": "application/json" },
        body: JSON.stringify(body),
      });
    expect((await send("PUT", path, { version, document: { ...document, rows } })).status).toBe(200);
    expect(await (await get("/draft/larkmoss-nursery/")).text()).toContain("Sun or none");
    expect((await get("/shop/larkmoss-nursery/")).headers.get("etag")).toBe(tag);
    expect((await send("POST", "/api/shops/larkmoss-nursery/editions", { note: "" })).status).toBe(201);
    expect(await (await get("/shop/larkmoss-nursery/")).text()).toContain("Sun or none");
  });

  it("drop what a form names without a value, once, and keep what is set", async () => {
    const sent = await get("/shop/larkmoss-nursery/?light=shade&price.min=&price.max=&q=");
    expect([sent.status, sent.headers.get("location")]).toEqual([302, "/shop/larkmoss-nursery/?light=shade"]);
    expect((await get("/shop/larkmoss-nursery/?light=shade")).status).toBe(200);
    expect((await get("/draft/larkmoss-nursery/?stage")).status).toBe(200);
  });
});

describe("answers", () => {
  const question = (option: string) => ({
    within: [],
    facets: [{ field: "light", mode: "any" }],
    selection: { text: "", choices: { light: { options: [option] } } },
    sort: "",
    from: 0,
    size: 1,
    has: [],
  });
  const ask = (body: object) =>
    app.request("http://127.0.0.1/api/shops/larkmoss-nursery/ask", {
      method: "POST",
      headers: { ...headers, "content-type": "application/json" },
      body: JSON.stringify(body),
    });

  it("to the same question are the same, and to a catalogue that was mended are its own", async () => {
    const first = await (await ask(question("shade"))).json();
    expect(first.total).toBe(77);
    expect(await (await ask(question("shade"))).json()).toEqual(first);
    const path = "/api/shops/larkmoss-nursery/documents/mends";
    const stored = await (await get(path)).json();
    const mend = { id: "m1", kind: "values", field: "light", from: ["shade"], to: ["full sun"] };
    const document = { ...stored.document, mends: [...stored.document.mends, mend] };
    const put = await app.request(`http://127.0.0.1${path}`, {
      method: "PUT",
      headers: { ...headers, "content-type": "application/json" },
      body: JSON.stringify({ version: stored.version, document }),
    });
    expect(put.status).toBe(200);
    expect((await (await ask(question("shade"))).json()).total).toBe(0);
  });

  it("about an edition have an address, which proxies keep the answer for, whatever was chosen first", async () => {
    const path = (choices: object, query = "?edition=1&") =>
      `/api/shops/larkmoss-nursery/ask${query}q=${encodeURIComponent(JSON.stringify({ ...question(""), selection: { text: "", choices } }))}`;
    const light = { options: ["shade", "full sun"] };
    const first = await get(path({ light, price: { max: 20 } }));
    const text = await first.text();
    expect([first.status, first.headers.get("cache-control")]).toEqual([200, "no-cache"]);
    const tag = first.headers.get("etag") ?? "";
    const turned = { price: { max: 20 }, light: { options: ["full sun", "shade"] } };
    const again = await get(path(turned), { "if-none-match": tag });
    expect([tag.length > 10, again.status, await again.text()]).toEqual([true, 304, ""]);
    const other = await get(path({ light: { options: ["shade"] } }), { "if-none-match": tag });
    expect([other.status, (await other.text()) === text]).toEqual([200, false]);
    // The draft changes, so nothing keeps what it answers.
    expect((await get(path({}, "?"))).headers.get("cache-control")).toBe("no-store");
    expect((await get("/api/shops/larkmoss-nursery/ask?edition=1")).status).toBe(400);
    for (const odd of [[{ toString: 1 }, {}], 3, "x", null, [1, "a"]])
      expect([odd, (await get(path({ light: { options: odd } }))).status]).toEqual([odd, 400]);
  });

  it("that are refused are refused each time", async () => {
    const wrong = { ...question("shade"), size: -1 };
    for (const _ of [1, 2]) expect((await ask(wrong)).status).toBe(400);
  });
});

describe("a short line", () => {
  it("tells those beyond its end at once, and when to come again", async () => {
    let finish = () => {};
    const under = new Promise<void>((done) => {
      finish = done;
    });
    const small = new Hono();
    small.use(shedLoad(2));
    small.get("/", async (c) => {
      await under;
      return c.text("done");
    });
    const waiting = [small.request("/"), small.request("/")];
    const late = await small.request("/");
    expect([late.status, late.headers.get("retry-after")]).toEqual([503, "1"]);
    finish();
    for (const one of waiting) expect((await one).status).toBe(200);
    expect((await small.request("/")).status).toBe(200);
  });
});
