import { createHash } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import type { Hono } from "hono";
import { afterAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";
import { assembleCatalogue } from "../../src/core/catalogue/assemble.ts";
import type { Catalogue } from "../../src/core/catalogue/catalogue.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../src/core/engine/local-engine.ts";
import type { Facet, Question } from "../../src/core/engine/question.ts";
import { ColumnEngine } from "../../src/server/column-store/column-engine.ts";
import { loadCatalogue } from "../../src/server/column-store/load.ts";
import { Shard } from "../../src/server/column-store/shard.ts";
import { StoreCatalogues, storedHash } from "../../src/server/column-store/store-catalogues.ts";
import { tablesOf } from "../../src/server/column-store/stored-catalogue.ts";
import { PublishedShops } from "../../src/server/published/published-shops.ts";
import { createServeApp } from "../../src/server/published/serve-app.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";
import { hasClickhouse, type StoreServer, startStores } from "../clickhouse.ts";
import { questions, shops, standing } from "../random-shop.ts";

let loaded = 0;
/** A hash of its own for each catalogue of these tests. */
const nextHash = () => createHash("sha256").update(String(loaded++)).digest("hex");

/** An answer with plain lists, whatever holds them. */
const plain = (answer: unknown): unknown =>
  JSON.parse(
    JSON.stringify(answer, (_name, value: unknown) =>
      ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value,
    ),
  );

// Where it is installed and still can't run, as in some sandboxes, the tests are skipped as well.
const started = hasClickhouse() ? await startStores(2).catch(() => undefined) : undefined;

/** How many times as many random catalogues as usual: `TRELLIS_THOROUGH=12` asks over 2,000 questions. */
const thorough = Number(process.env.TRELLIS_THOROUGH ?? 1);

describe.skipIf(!started)("the engine over two shards of a column store", () => {
  const stores: readonly StoreServer[] = started?.stores ?? [];
  const shards = stores.map(({ address }) => new Shard(address));
  // Two servers with the tables of many catalogues take a while to end.
  afterAll(() => started?.close(), 60_000);

  const open = async (catalogue: Catalogue) => {
    const hash = nextHash();
    const index = new CatalogueIndex(catalogue);
    await loadCatalogue(index, hash, shards);
    return { local: new LocalEngine(index), remote: await ColumnEngine.open(shards, hash) };
  };

  const sorts = fc.constantFrom("", "price", "-price", "mood,-price", "-colour", "category", "best", "picked");
  const spec = fc.constantFrom<Facet["ranges"][]>(
    undefined,
    { limits: [2, 9] },
    { from: [1, 9] },
    { by: "width", parts: 3 },
    { by: "products", parts: 3 },
    { by: "stars", parts: 4 },
  );
  const merges = fc.constantFrom<Facet["merges"][]>(
    undefined,
    [{ label: "Dark", values: ["black", "red"] }],
    [{ label: "White", values: ["black"] }],
  );
  const extra = fc.record({
    sort: sorts,
    ranges: spec,
    merges,
    bent: fc.boolean(),
    text: fc.constantFrom("", "cal", "s black", "30", "blakc", "whit wld", "reed m"),
  });

  it(
    "answers as our own engine does, to the last count, order and card",
    async () => {
      await fc.assert(
        fc.asyncProperty(
          shops,
          fc.array(fc.tuple(questions, standing, extra), { minLength: 6, maxLength: 6 }),
          async (catalogue, all) => {
            const { local, remote } = await open(catalogue);
            for (const [{ facets, choices }, within, { sort, ranges, merges, bent, text }] of all) {
              const asked: Question = {
                within,
                facets: facets.map((facet) => ({
                  ...facet,
                  ...(facet.field === "price" && ranges ? { ranges } : {}),
                  ...(facet.field === "price" && bent ? { bent } : {}),
                  ...(facet.field === "colour" && merges ? { merges } : {}),
                })),
                selection: { text, choices },
                sort,
                show: { fields: ["colour", "mood"], variants: true },
                searching: [
                  { field: "size", weight: 2 },
                  { field: "mood", weight: 3 },
                ],
                mends: true,
                from: 1,
                size: 5,
              };
              expect(plain(await remote.ask(asked))).toEqual(plain(local.ask(asked)));
            }
          },
        ),
        { numRuns: 30 * thorough, endOnFailure: true },
      );
    },
    300_000 * thorough,
  );

  it("answers so on the demo’s catalogue", async () => {
    const { local, remote } = await open(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
    const facets: Facet[] = [
      { field: "category", mode: "tree" },
      { field: "flower-colour", mode: "any" },
      { field: "light", mode: "all" },
      { field: "pot-size", mode: "any" },
      { field: "price", mode: "range", ranges: { by: "products", parts: 5 } },
      { field: "mature-height", mode: "range", bent: true },
      { field: "availability", mode: "any" },
    ];
    const chosen: Question["selection"]["choices"][] = [
      {},
      { light: { options: ["half shade"] } },
      { light: { options: ["half shade", "shade"] }, price: { max: 20 }, "pot-size": { options: ["2 l"] } },
      { category: { options: ["plants > climbers"] }, "flower-colour": { options: ["apricot", "white"] } },
      { availability: { options: ["in stock"] }, "pot-size": { options: ["5 l", "9 cm"] }, price: { min: 10 } },
    ];
    for (const choices of chosen)
      for (const [sort, text] of [
        ["", ""],
        ["-price", ""],
        ["title", "cle"],
        ["best", "winter cle"],
      ] as const) {
        const asked: Question = {
          within: [],
          facets,
          selection: { text, choices },
          sort,
          from: 0,
          size: 24,
          mends: true,
        };
        expect(plain(await remote.ask(asked))).toEqual(plain(local.ask(asked)));
      }
  }, 120_000);

  it("takes ids as values, whatever characters are in them", async () => {
    const odd = ["it's", "a\\b", "tab\there", "line\nbreak", "') OR 1=1 --", "ünïcödé 日本", '"'];
    const rows = odd.map((id, at) => ({ id, rows: [[at % 2 === 0 ? "red" : "blue"]] }));
    const field = { key: "colour", name: "Colour", role: "attribute", kind: "text" } as const;
    const { local, remote } = await open(assembleCatalogue([field], rows));
    for (const products of [...odd.map((id) => [id]), odd, ["nowhere", "it''s"]]) {
      const within = [[{ products }]];
      const question: Question = {
        ...{ within, facets: [{ field: "colour", mode: "any" }], selection: { text: "", choices: {} } },
        ...{ sort: "picked", from: 0, size: 20 },
      };
      expect(plain(await remote.ask(question))).toEqual(plain(local.ask(question)));
    }
    for (const id of odd) expect(await remote.product(id)).toMatchObject({ card: { id } });
    expect(await remote.product("nowhere")).toBeUndefined();
  });

  it("answers right or says what is wrong when a shard is killed among 200 questions, and goes on when it is back", async () => {
    const { local, remote } = await open(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
    const question = (at: number): Question => ({
      within: [],
      facets: [
        { field: "light", mode: "any" },
        { field: "price", mode: "range" },
      ],
      selection: { text: "", choices: { price: { max: 5 + at } } },
      ...{ sort: "price", from: 0, size: 6 },
    });
    const seen = { right: 0, told: 0 };
    for (let at = 0; at < 200; at++) {
      if (at === 60) await stores[1]?.kill();
      if (at === 140) await stores[1]?.restart();
      const answer = await remote.ask(question(at)).catch((error: Error) => error);
      if (answer instanceof Error) {
        seen.told++;
        expect([answer.name, answer.message]).toEqual([
          "StoreFault",
          `The store at ${shards[1]?.name} cannot be reached. Check that it is running, then try again.`,
        ]);
      } else {
        seen.right++;
        expect(plain(answer)).toEqual(plain(local.ask(question(at))));
      }
    }
    expect(seen).toEqual({ right: 120, told: 80 });
  }, 120_000);

  describe("is refused", () => {
    const faultOf = async (task: () => Promise<unknown>): Promise<string> =>
      task().then(
        () => "",
        (error: Error) => error.message,
      );
    const small = () => new CatalogueIndex(assembleCatalogue([], [{ id: "a", rows: [[]] }]));

    it("where the edition isn’t loaded, or only half of it is", async () => {
      const hash = nextHash();
      const [, second] = shards;
      expect(await faultOf(() => ColumnEngine.open(shards, hash))).toMatch(
        /^The store at 127\.0\.0\.1:\d+ doesn’t have this edition\. Load it with trellis load\.$/,
      );
      await loadCatalogue(small(), hash, shards);
      await second?.run(`DROP TABLE ${tablesOf(hash).about}`);
      await second?.run(`CREATE TABLE ${tablesOf(hash).about} (text String) ENGINE = MergeTree ORDER BY tuple()`);
      expect(await faultOf(() => ColumnEngine.open(shards, hash))).toBe(
        `The store at ${second?.name} has only a part of this edition. Load it again.`,
      );
      await loadCatalogue(small(), hash, shards);
      expect(await faultOf(() => ColumnEngine.open(shards, hash))).toBe("");
    });

    it("where the shards are others or in another order, or the tables have another format", async () => {
      const hash = nextHash();
      await loadCatalogue(small(), hash, shards);
      expect(await faultOf(() => ColumnEngine.open([...shards].reverse(), hash))).toContain(
        "of 2 for this edition. Name all of them in that order.",
      );
      expect(await faultOf(() => ColumnEngine.open(shards.slice(0, 1), hash))).toContain("is number 1 of 2");
      expect(await faultOf(() => ColumnEngine.open([], hash))).toBe("Name at least one store.");
      const { about } = tablesOf(hash);
      await shards[0]?.run(`DROP TABLE ${about}`);
      await shards[0]?.run(`CREATE TABLE ${about} (text String) ENGINE = MergeTree ORDER BY tuple()`);
      await shards[0]?.run(`INSERT INTO ${about} VALUES ('{"format":"trellis-store-9"}')`);
      expect(await faultOf(() => ColumnEngine.open(shards, hash))).toContain(
        "has this edition in a different format. Load it again.",
      );
    });

    it("with a wrong user or password, neither of which is ever told", async () => {
      const { stores: guarded, close: end } = await startStores(1, { user: "designer", password: "s3cret" });
      const [store] = guarded;
      const at = (login: string) => new Shard((store?.address ?? "").replace("//", `//${login}`));
      expect(await at("designer:s3cret@").rows("SELECT 1")).toEqual([[1]]);
      for (const login of ["designer:wr0ng@", "nobody:s3cret@", "designer@"]) {
        const told = await faultOf(() => at(login).rows("SELECT 1"));
        expect(told).toMatch(/^The store at 127\.0\.0\.1:\d+ (?:refused the user or password\.|needs a user)/);
        expect(told).not.toMatch(/wr0ng|s3cret|designer|nobody/);
      }
      expect(await faultOf(async () => new Shard("not an address s3cret"))).toBe(
        "The address of the store is not valid. Use http://HOST:PORT/, with user and password if needed.",
      );
      await end();
    }, 60_000);

    it("for a statement that takes too much", async () => {
      const told = await faultOf(async () =>
        shards[0]?.rows("SELECT count() FROM (SELECT groupArray(number) FROM numbers(1000000000))"),
      );
      expect(told).toMatch(/ran out of memory for this request\.|took too long\. Try again in a moment\./);
      expect(await faultOf(async () => shards[0]?.rows("SELECT nothing"))).toContain("refused a request (47).");
    }, 60_000);
  });

  it("serves a shop’s pages with the products that our own engine finds", async () => {
    const folder = mkdtempSync(join(tmpdir(), "trellis-over-store-"));
    const orm = await openDatabase(join(folder, "shops.db"));
    await seedDemo(orm, ".");
    const live = join(folder, "live");
    await runTrellis(["publish", "--shop", "larkmoss-nursery", "--data", join(folder, "shops.db"), "--out", live]);
    await closeDatabase(orm);
    const addresses = stores.flatMap(({ address }) => ["--store", address]);
    expect((await runTrellis(["load", live, ...addresses])).out).toContain("240 products are in 127.0.0.1");
    expect((await runTrellis(["load", live, ...addresses])).out).toContain("240 products are already in 127.0.0.1");
    const shops = new PublishedShops([live]);
    const catalogues = new StoreCatalogues(shards, ({ shop, state }) =>
      storedHash(shops.manifest(shop.slug, Number(state))),
    );
    const [here, there] = [createServeApp(shops, "."), createServeApp(shops, ".", { catalogues })];
    const get = async (app: Hono, path: string) => {
      const answer = await app.request(`http://127.0.0.1/shop/larkmoss-nursery${path}`);
      return { status: answer.status, text: await answer.text() };
    };
    /** The page as it is seen, without the data for its scripts. */
    const seen = ({ text }: { text: string }) => /<div id="zt-page">(.*?)(?:<script|<\/body>)/s.exec(text)?.[1];
    for (const path of [
      "/",
      "/?light=half+shade",
      "/collections/gifts?price=..20",
      "/search?q=rose",
      "/products/LM001",
    ]) {
      const [own, other] = [await get(here, path), await get(there, path)];
      expect([path, other.status, seen(other)]).toEqual([path, 200, seen(own)]);
      expect(seen(own)?.length).toBeGreaterThan(1000);
    }
    const data = await there.request("http://127.0.0.1/api/shops/larkmoss-nursery/data?edition=1");
    expect([data.status, (await data.json()).error]).toEqual([
      404,
      "Pages of this shop ask for counts; its catalogue can’t be fetched.",
    ]);
    await stores[0]?.kill();
    const down = await get(there, "/?light=shade");
    expect([down.status, down.text]).toEqual([503, expect.stringContaining("cannot be reached")]);
    await stores[0]?.restart();
    expect((await get(there, "/?light=shade")).status).toBe(200);
    rmSync(folder, { recursive: true, force: true });
  }, 120_000);
});
