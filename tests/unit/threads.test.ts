import { readFileSync } from "node:fs";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { createApp } from "../../src/server/app.ts";
import { repository } from "../../src/server/repository.ts";
import { Threads } from "../../src/server/threads/threads.ts";
import { demoDatabase } from "../demo-database.ts";

const headers = { host: "127.0.0.1", origin: "http://127.0.0.1" };
type App = ReturnType<typeof createApp>;
/** The same server twice over one file: one has threads, the other does all by itself. */
let threaded: App;
let alone: App;
let close: () => Promise<void>;

beforeAll(async () => {
  const { file: data, orm, ...demo } = await demoDatabase();
  // As in development: threads of the sources, and not of what was built of them some time ago.
  const development = true;
  const threads = new Threads({ data, root: repository, development, names: [] });
  threaded = createApp({ orm, root: repository, development, threads });
  alone = createApp({ orm, root: repository, development });
  close = async () => {
    await threads.close();
    await demo.close();
  };
}, 60_000);
afterAll(() => close());

const get = (app: App, path: string, more: Record<string, string> = {}) =>
  app.request(`http://127.0.0.1${path}`, { headers: { ...headers, ...more } });
const send = (app: App, method: string, path: string, body: object) =>
  app.request(`http://127.0.0.1${path}`, {
    method,
    headers: { ...headers, "content-type": "application/json" },
    body: JSON.stringify(body),
  });
const upload = (
  app: App,
  path: string,
  name: string,
  bytes: Uint8Array<ArrayBuffer>,
  more: Record<string, string> = {},
) => {
  const form = new FormData();
  form.set("file", new File([bytes], name));
  for (const [key, value] of Object.entries(more)) form.set(key, value);
  return app.request(`http://127.0.0.1${path}`, { method: "POST", headers, body: form });
};
const shop = "/api/shops/larkmoss-nursery";
const csv = new Uint8Array(readFileSync("demo/nursery.csv"));

describe("a server with threads", () => {
  it.each([
    "/shop/larkmoss-nursery/?light=shade",
    "/draft/larkmoss-nursery/",
    "/edition/larkmoss-nursery/1/collections/gifts",
    "/shop/larkmoss-nursery/products/LM001",
    "/shop/larkmoss-nursery/nowhere",
    "/shop/nobody/",
    `${shop}/data?edition=1`,
    `${shop}/suggest?q=rose`,
    `${shop}/swatches`,
    `${shop}/overview`,
    `${shop}/stand?of=draft`,
    `${shop}/differences?from=1&to=draft`,
    `${shop}/new-findings?from=1&to=draft`,
    `${shop}/catalogue.csv`,
    `${shop}/catalogue.jsonld`,
    `${shop}/folder.zip`,
    `${shop}/swatches.csv`,
    `${shop}/data?edition=99`,
  ])("answers %s as one without does", async (path) => {
    const [one, other] = [await get(threaded, path), await get(alone, path)];
    expect(one.status).toBe(other.status);
    expect(one.headers.get("content-type")).toBe(other.headers.get("content-type"));
    expect(one.headers.get("content-security-policy")).toBe(other.headers.get("content-security-policy"));
    expect(Buffer.from(await one.arrayBuffer()).equals(Buffer.from(await other.arrayBuffer()))).toBe(true);
  });

  it("sends what is packed as it was packed, and nothing to those who have it", async () => {
    const first = await get(threaded, `${shop}/data?edition=1`, { "accept-encoding": "br" });
    expect(first.headers.get("content-encoding")).toBe("br");
    const etag = first.headers.get("etag") ?? "";
    const again = await get(threaded, `${shop}/data?edition=1`, { "if-none-match": etag });
    expect([again.status, (await again.arrayBuffer()).byteLength]).toEqual([304, 0]);
    // A page is kept as text, whatever way its first reader takes it.
    const page = await get(threaded, "/shop/larkmoss-nursery/?light=full+sun", { "accept-encoding": "gzip" });
    expect(page.headers.get("content-encoding")).toBe("gzip");
    expect(await (await get(threaded, "/shop/larkmoss-nursery/?light=full+sun")).text()).toContain("<!doctype html>");
  });

  it("counts the same, refuses the same in the same words, and forgets what was changed", async () => {
    const question = (option: string, size = 1) => ({
      within: [],
      facets: [{ field: "light", mode: "any" }],
      selection: { text: "", choices: { light: { options: [option] } } },
      sort: "",
      from: 0,
      size,
      has: [],
    });
    const ask = async (app: App, body: object) => {
      const answer = await send(app, "POST", `${shop}/ask`, body);
      return [answer.status, await answer.json()];
    };
    for (const body of [question("shade"), question("shade", -1), {}])
      expect(await ask(threaded, body)).toEqual(await ask(alone, body));
    const path = `${shop}/documents/mends`;
    const stored = await (await get(threaded, path)).json();
    const mend = { id: "m1", kind: "values", field: "light", from: ["shade"], to: ["full sun"] };
    const document = { ...stored.document, mends: [...stored.document.mends, mend] };
    expect((await send(threaded, "PUT", path, { version: stored.version, document })).status).toBe(200);
    expect((await ask(threaded, question("shade")))[1]).toMatchObject({ total: 0 });
    const shown = await (await get(threaded, "/draft/larkmoss-nursery/?light=full+sun")).text();
    expect(shown).not.toContain('value="shade"');
  });

  it("reads what is brought as one without does, and says what is wrong with it", async () => {
    const bring = async (app: App, name: string, bytes: Uint8Array<ArrayBuffer>) => {
      const made = await upload(app, "/api/shops", name, bytes, { name: `Brought ${name}`, currency: "EUR" });
      const { slug: _slug, name: _name, ...told } = await made.json();
      return [made.status, { ...told, panels: told.panels?.length }];
    };
    const text = (words: string) => new TextEncoder().encode(words);
    for (const [name, bytes] of [
      ["nursery.csv", csv],
      ["empty.csv", text("")],
      ["twice.csv", text("a,a\n1,2\n")],
      ["damaged.bin", new Uint8Array(await (await get(alone, `${shop}/source`)).arrayBuffer()).slice(0, 900)],
    ] as const)
      expect([name, await bring(threaded, name, bytes)]).toEqual([name, await bring(alone, name, bytes)]);
    const none = await threaded.request("http://127.0.0.1/api/shops", {
      method: "POST",
      headers: { ...headers, "content-type": "multipart/form-data" },
      body: "no boundary",
    });
    expect([none.status, (await none.json()).error]).toEqual([400, expect.stringContaining("boundary")]);
  });

  it("takes a newer file and a whole shop", async () => {
    const half = new TextEncoder().encode(new TextDecoder().decode(csv).split("\n").slice(0, 200).join("\n"));
    const replaced = await upload(threaded, `${shop}/catalogue`, "half.csv", half);
    const { products } = await replaced.json();
    expect(products).toBeLessThan(240);
    const page = await (await get(threaded, "/draft/larkmoss-nursery/")).text();
    expect(page.replace(/<\/?bdi>/g, "")).toContain(`>${products} products<`);
    const zip = new Uint8Array(await (await get(threaded, `${shop}/folder.zip`)).arrayBuffer());
    const made = await upload(threaded, "/api/folders", "shop.zip", zip);
    expect([made.status, (await made.json()).products]).toEqual([201, products]);
    const refused = await upload(threaded, "/api/folders", "shop.zip", new TextEncoder().encode("no zip"));
    expect([refused.status, (await refused.json()).error]).toEqual([422, expect.stringMatching(/zip/i)]);
  });
});
