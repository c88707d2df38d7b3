import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Catalogue } from "../../src/core/catalogue/catalogue.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../src/core/engine/local-engine.ts";
import type { Facet, Question } from "../../src/core/engine/question.ts";
import { ColumnEngine } from "../../src/server/column-store/column-engine.ts";
import { loadCatalogue } from "../../src/server/column-store/load.ts";
import { Shard } from "../../src/server/column-store/shard.ts";
import { hasClickhouse, type StoreServer, startStores } from "../clickhouse.ts";
import { questions, shops, standing } from "../random-shop.ts";

let loaded = 0;
/** A hash of its own for each catalogue of these tests. */
const nextHash = () => createHash("sha256").update(String(loaded++)).digest("hex");

/** An answer with plain lists, whatever holds them; suggestions for other words are not asked of the store. */
const plain = (answer: unknown): unknown =>
  JSON.parse(
    JSON.stringify(answer, (name, value: unknown) =>
      name === "near" ? undefined : ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value,
    ),
  );

describe.skipIf(!hasClickhouse())("the engine over two shards of a column store", () => {
  let stores: StoreServer[];
  let close: () => Promise<void>;
  let shards: Shard[];
  beforeAll(async () => {
    ({ stores, close } = await startStores(2));
    shards = stores.map(({ address }) => new Shard(address));
  }, 60_000);
  afterAll(() => close());

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
    text: fc.constantFrom("", "cal", "s black", "30"),
  });

  it("answers as our own engine does, to the last count, order and card", async () => {
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
      { numRuns: 40 },
    );
  }, 300_000);

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
});
