import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { MikroORM } from "@mikro-orm/libsql";
import { unzipSync } from "fflate";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { Random } from "../../demo/random.ts";
import { runTrellis } from "../../src/cli/run.ts";
import { pageList } from "../../src/core/page/page-list.ts";
import { createApp } from "../../src/server/app.ts";
import { readEdition } from "../../src/server/published/edition-folder.ts";
import { PublishedShops } from "../../src/server/published/published-shops.ts";
import { createServeApp } from "../../src/server/published/serve-app.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { Catalogues } from "../../src/server/store/catalogues.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";

const slug = "larkmoss-nursery";
const folder = mkdtempSync(join(tmpdir(), "trellis-serve-"));
const data = join(folder, "shops.db");
const live = join(folder, "live");
let orm: MikroORM;
let tool: Hono;
let shops: PublishedShops;
let served: Hono;
const headers = { host: "127.0.0.1", origin: "http://127.0.0.1" };
const bytesOf = async (app: Hono, path: string, init: RequestInit = {}) => {
  const answer = await app.request(`http://127.0.0.1${path}`, { ...init, headers: { ...headers, ...init.headers } });
  const { status } = answer;
  return { status, type: answer.headers.get("content-type"), body: Buffer.from(await answer.arrayBuffer()) };
};
const send = (path: string, body: unknown, method = "POST") =>
  tool.request(`http://127.0.0.1${path}`, {
    method,
    headers: { ...headers, "content-type": "application/json" },
    body: JSON.stringify(body),
  });
const publish = (...more: string[]) => runTrellis(["publish", "--shop", slug, "--data", data, "--out", live, ...more]);

beforeAll(async () => {
  orm = await openDatabase(data);
  await seedDemo(orm, ".");
  tool = createApp({ orm, root: process.cwd() });
  expect(await publish()).toEqual({ status: 0, out: `Edition 1 of Larkmoss Nursery is in ${live}.\n`, err: "" });
  shops = new PublishedShops([live]);
  served = createServeApp(shops, process.cwd());
});
afterAll(async () => {
  await closeDatabase(orm);
  rmSync(folder, { recursive: true, force: true });
});

describe("a process without a database", () => {
  it("answers byte for byte what the tool answers for the edition, on every page and with random choices", async () => {
    const { whole } = readEdition(live, 1);
    const edition = await new Catalogues().get(shops.source(slug));
    const random = new Random(31);
    const addresses = pageList(whole.pages, edition.facts.pageFacts()).map(({ address }) => address);
    const queries = [
      "",
      "?light=half+shade",
      "?flower-colour=apricot&price=..20",
      "?sort=-price",
      "?panel=climber-finder",
    ];
    const paths = Array.from({ length: 60 }, () => random.pick(addresses) + random.pick(queries));
    paths.push("/products/LM001", "/products/LM002?variant=2", "/nowhere", "/search?q=rose");
    for (const path of paths)
      for (const base of [`/shop/${slug}`, `/edition/${slug}/1`]) {
        const address = base + path;
        expect([address, await bytesOf(served, address)]).toEqual([address, await bytesOf(tool, address)]);
      }
  }, 180_000);

  it("answers the requests of pages alike: data, suggestions, questions, style sheets, pictures", async () => {
    const { body } = await bytesOf(tool, `/shop/${slug}/`);
    const boot = JSON.parse(/id="zt-boot">(.+?)<\/script>/s.exec(String(body))?.[1] ?? "{}");
    const style =
      /id="zt-style" rel="stylesheet" href="([^"]+)"/.exec(String(body))?.[1]?.replaceAll("&amp;", "&") ?? "";
    const paths = [boot.data, `${boot.shop.suggest}cle`, style, "/demo/pictures/LM001.svg", "/fonts/figtree.css"];
    for (const path of paths) expect([path, await bytesOf(served, path)]).toEqual([path, await bytesOf(tool, path)]);
    for (const options of [[], ["shade"], ["shade", "half shade"]]) {
      const question = {
        within: [],
        facets: [{ field: "light", mode: "any" }],
        selection: { text: "", choices: { light: { options } } },
        ...{ sort: "", from: 0, size: 12, has: [] },
      };
      const init = {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(question),
      };
      const answer = await bytesOf(served, boot.ask, init);
      expect(answer).toEqual(await bytesOf(tool, boot.ask, init));
      expect(answer.status).toBe(200);
    }
  });

  it("has nothing of the draft or of the tool", async () => {
    for (const path of [
      `/draft/${slug}/`,
      "/api/shops",
      `/api/shops/${slug}/source`,
      `/api/shops/${slug}/documents/panel/climber-finder`,
      "/",
      `/shops/${slug}`,
      "/shop/unknown/",
      `/edition/${slug}/2/`,
      `/api/shops/${slug}/data`,
      `/api/shops/${slug}/data?edition=2`,
      `/api/shops/${slug}/data?preview=x`,
    ])
      expect([path, (await bytesOf(served, path)).status]).toEqual([path, 404]);
  });

  it("takes over a newer edition, keeps the one before for open pages, and goes back when told", async () => {
    const path = `/api/shops/${slug}/documents/panel/climber-finder`;
    const { version, document } = await (await tool.request(`http://127.0.0.1${path}`, { headers })).json();
    await send(path, { version, document: { ...document, rows: document.rows.slice(1) } }, "PUT");
    await send(`/api/shops/${slug}/editions`, { note: "Shorter" });
    const before = await bytesOf(served, `/shop/${slug}/`);
    expect(await shops.refresh()).toEqual([]);
    await publish();
    expect(await shops.refresh()).toEqual([{ shop: slug, edition: 2 }]);
    const after = await bytesOf(served, `/shop/${slug}/`);
    expect(after).not.toEqual(before);
    expect(after).toEqual(await bytesOf(tool, `/shop/${slug}/`));
    // Open pages go on asking about the edition that they were drawn from.
    expect((await bytesOf(served, `/api/shops/${slug}/data?edition=1`)).status).toBe(200);
    expect(await bytesOf(served, `/edition/${slug}/1/`)).toEqual(await bytesOf(tool, `/edition/${slug}/1/`));
    await publish("--edition", "1");
    expect(await shops.refresh()).toEqual([{ shop: slug, edition: 1 }]);
    expect(await bytesOf(served, `/shop/${slug}/`)).toEqual(before);
  });

  it("tells its health, its measurements by route, and its edition", async () => {
    const { body } = await bytesOf(served, "/healthz");
    expect(JSON.parse(String(body))).toEqual({ ok: true, shops: [{ shop: slug, edition: 1 }] });
    const { type, body: text } = await bytesOf(served, "/metrics");
    expect(type).toMatch(/^text\/plain/);
    // Prometheus exposition formats, version 0.0.4: each line is a comment, or a name with labels and a number.
    const line = /^(?:# (?:HELP|TYPE) \S+ .+|[a-zA-Z_:][\w:]*(?:\{[^}]*\})? (?:[+-]?[\d.e+-]+|NaN|\+Inf))$/;
    expect(
      String(text)
        .trim()
        .split("\n")
        .filter((one) => one !== "" && !line.test(one)),
    ).toEqual([]);
    expect(String(text)).toMatch(/^trellis_requests_total\{route="page",status="200"\} [1-9]/m);
    expect(String(text)).toMatch(/^trellis_request_seconds_bucket\{le="\+Inf",route="ask"\} 3$/m);
    expect(String(text)).toContain(`trellis_edition{shop="${slug}"} 1`);
    expect(String(text)).toMatch(/^process_resident_memory_bytes [1-9]/m);
  });
});

describe("an edition as files", () => {
  const copy = async (name: string) => {
    const out = join(folder, name);
    expect((await runTrellis(["publish", "--shop", slug, "--data", data, "--out", out])).status).toBe(0);
    return out;
  };
  const faultOf = (...folders: string[]): string => {
    try {
      new PublishedShops(folders);
      return "";
    } catch (error) {
      return (error as Error).message;
    }
  };

  it("is named by its content, and the same as what the tool lets one download", async () => {
    const out = await copy("named");
    const answer = await bytesOf(tool, `/api/shops/${slug}/editions/2/files.zip`);
    const files = unzipSync(answer.body);
    for (const [path, bytes] of Object.entries(files))
      expect([path, Buffer.from(bytes)]).toEqual([path, readFileSync(join(out, path))]);
    expect(Object.keys(files).length).toBe(readdirSync(join(out, "content")).length + 2);
  });

  it("is refused where a file is missing or changed, with its name and what to do", async () => {
    const out = await copy("damaged");
    const { files } = JSON.parse(readFileSync(join(out, "edition-2.json"), "utf8"));
    const hash = files["pages.json"];
    const file = join(out, "content", hash);
    const whole = readFileSync(file);
    writeFileSync(file, whole.subarray(1));
    expect(faultOf(out)).toBe(
      `${file}, the content of pages.json, was changed: its hash differs. Publish the edition into this folder again.`,
    );
    rmSync(file);
    expect(faultOf(out)).toContain("is missing. Publish the edition into this folder again.");
    // Which mends it.
    await copy("damaged");
    expect(faultOf(out)).toBe("");
    writeFileSync(join(out, "edition-2.json"), "{}");
    expect(faultOf(out)).toContain("edition-2.json is not valid");
    writeFileSync(join(out, "current.json"), "no JSON");
    expect(faultOf(out)).toContain("current.json is not valid");
    expect(faultOf(join(folder, "nowhere"))).toContain("Name a folder that trellis publish has written.");
  });

  it("stays in place while a newer one is damaged", async () => {
    const out = await copy("half");
    const open = new PublishedShops([out]);
    writeFileSync(join(out, "current.json"), JSON.stringify({ format: "trellis-edition-1", shop: slug, edition: 3 }));
    expect(await open.refresh()).toMatchObject([
      { edition: 2, fault: expect.stringContaining("edition-3.json can’t be read") },
    ]);
    expect(open.source(slug).state).toBe(2);
    // It is passed by once, so that a large one is not read all the time; then, or on a signal, it is read again.
    const mended = { ...JSON.parse(readFileSync(join(out, "edition-2.json"), "utf8")), edition: 3 };
    writeFileSync(join(out, "edition-3.json"), JSON.stringify(mended));
    expect(await open.refresh()).toMatchObject([
      { edition: 2, fault: expect.stringContaining("edition-3.json can’t be read") },
    ]);
    expect(await open.refresh(undefined, { atOnce: true })).toEqual([{ shop: slug, edition: 3 }]);
    expect(open.source(slug).state).toBe(3);
  });

  it("is refused beside one of the same shop, and in a folder of something else", async () => {
    const [one, two] = [await copy("one"), await copy("two")];
    expect(faultOf(one, two)).toBe(`${one} and ${two} both have a shop “${slug}”. Serve them on different ports.`);
    writeFileSync(join(folder, "other.txt"), "");
    const refused = await runTrellis(["publish", "--shop", slug, "--data", data, "--out", folder]);
    expect([refused.status, refused.err]).toEqual([2, expect.stringContaining("contains other files")]);
  });

  it("is made of a shop folder too, with the next number where something has changed", async () => {
    const [shop, out] = [join(folder, "as-folder"), join(folder, "from-folder")];
    await runTrellis(["export", "--shop", slug, "--data", data, "--out", shop]);
    const made = () => runTrellis(["publish", shop, "--out", out]);
    expect((await made()).out).toBe(`Edition 1 of Larkmoss Nursery is in ${out}.\n`);
    expect((await made()).out).toBe("Nothing has changed since edition 1.\n");
    const file = join(shop, "catalogue.csv");
    writeFileSync(file, readFileSync(file, "utf8").replaceAll("Apricot", "Peach"));
    expect((await made()).out).toBe(`Edition 2 of Larkmoss Nursery is in ${out}.\n`);
    const other = await runTrellis(["publish", shop, "--out", live]);
    expect([other.status, other.out]).toEqual([0, expect.stringContaining("Edition 3")]);
  });
});
