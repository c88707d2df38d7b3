/**
 * A column store over two shards beside our own engine, at sizes beyond one process: `npm run bench -- --scale`. It
 * starts the shards on loopback by itself.
 */
import { createHash } from "node:crypto";
import { Random } from "../demo/random.ts";
import type { Catalogue, Column } from "../src/core/catalogue/catalogue.ts";
import type { Field } from "../src/core/catalogue/field.ts";
import type { Engine } from "../src/core/engine/engine.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../src/core/engine/local-engine.ts";
import type { Facet, Question } from "../src/core/engine/question.ts";
import { ColumnEngine } from "../src/server/column-store/column-engine.ts";
import { loadCatalogue } from "../src/server/column-store/load.ts";
import { Shard, StoreFault } from "../src/server/column-store/shard.ts";
import { hasClickhouse, startStores } from "../tests/clickhouse.ts";
import { DifferentAnswer } from "./engine.ts";
import { benchServe } from "./serve.ts";

/** Others are named with `SCALE_SIZES=100000,1000000`; empty, only the shoppers over two processes are measured. */
const usualSizes = [100_000, 1_000_000, 5_000_000];
const variants = 3;
/** Questions of each kind. */
const times = 30;
/** Shoppers at once, and how many questions each asks. */
const shoppers = 16;
const questionsEach = 10;

const cardinalities = [2, 3, 5, 8, 12, 20, 30, 50, 75, 100];
/** Fields that differ between variants. */
const byVariant = [2, 5, 6];
const keys = cardinalities.map((values, f) => `f${f}-${values}`);
const facets: Facet[] = [
  ...keys.slice(0, 9).map((field): Facet => ({ field, mode: "any" })),
  { field: "price", mode: "range" },
];

/** A seeded catalogue as columns: as rows it would not fit into memory. */
function made(products: number): Catalogue {
  const random = new Random(products);
  const rows = products * variants;
  const starts = Uint32Array.from({ length: rows + 1 }, (_, at) => at);
  const column = (spellings: string[], own: boolean, draw: () => number): Column => {
    const codes = new Uint32Array(rows);
    for (let product = 0; product < products; product++) {
      const shared = draw();
      for (let v = 0; v < variants; v++) codes[product * variants + v] = own ? draw() : shared;
    }
    return { spellings, starts, codes };
  };
  const columns = new Map(
    cardinalities.map((values, f) => [
      keys[f] ?? "",
      column(
        Array.from({ length: values }, (_, value) => `v${value}`),
        byVariant.includes(f),
        // Squaring draws low values more often, as in real catalogues.
        () => Math.floor(random.next() ** 2 * values),
      ),
    ]),
  );
  columns.set(
    "price",
    column(
      Array.from({ length: 520 }, (_, price) => String(price + 1)),
      true,
      () => random.whole(0, 519),
    ),
  );
  const fields: Field[] = [
    ...keys.map((key): Field => ({ key, name: key, role: "attribute", kind: "text" })),
    { key: "price", name: "Price", role: "price", kind: "number" },
  ];
  return {
    fields,
    columns,
    productIds: Array.from({ length: products }, (_, product) => `p${product}`),
    variantStart: Uint32Array.from({ length: products + 1 }, (_, product) => product * variants),
  };
}

/** Questions of ten facets with so many choices, each with a page of 24 products. */
function asked(choices: number): Question[] {
  const random = new Random(choices + 5);
  return Array.from({ length: times }, () => ({
    within: [],
    facets,
    selection: {
      text: "",
      choices: Object.fromEntries(
        random
          .some([0, 1, 2, 4, 5, 7], choices)
          .map((f) => [keys[f] ?? "", { options: [`v${random.whole(0, Math.min(2, (cardinalities[f] ?? 1) - 1))}`] }]),
      ),
    },
    ...{ sort: "", from: 0, size: 24 },
  }));
}

const rounded = (value: number): number => Number(value.toPrecision(3));
const at = (sorted: readonly number[], share: number): number =>
  rounded(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0);

async function timed(engine: Engine, questions: readonly Question[]): Promise<{ median_ms: number; p99_ms: number }> {
  const spent: number[] = [];
  for (const question of questions) {
    const start = performance.now();
    await engine.ask(question);
    spent.push(performance.now() - start);
  }
  spent.sort((a, b) => a - b);
  return { median_ms: at(spent, 0.5), p99_ms: at(spent, 0.99) };
}

/**
 * Shoppers who ask at once.
 * @returns answers a second, the time of one in a hundred, and how many were told that the store takes too long
 */
async function together(engine: Engine): Promise<{ per_s: number; p99_ms: number; told: number }> {
  const questions = [...asked(1), ...asked(3)];
  const spent: number[] = [];
  let told = 0;
  const start = performance.now();
  await Promise.all(
    Array.from({ length: shoppers }, async (_, shopper) => {
      for (let n = 0; n < questionsEach; n++) {
        const question = questions[(shopper * questionsEach + n) % questions.length];
        if (!question) continue;
        const from = performance.now();
        try {
          await engine.ask(question);
          spent.push(performance.now() - from);
        } catch (error) {
          if (!(error instanceof StoreFault)) throw error;
          told += 1;
        }
      }
    }),
  );
  const seconds = (performance.now() - start) / 1000;
  spent.sort((a, b) => a - b);
  return { per_s: rounded(spent.length / seconds), p99_ms: at(spent, 0.99), told };
}

/** The same counts from both, or the times mean nothing. @throws DifferentAnswer */
async function compare(own: Engine, other: Engine): Promise<void> {
  for (const question of asked(3).slice(0, 5)) {
    const [a, b] = [await own.ask(question), await other.ask(question)];
    const counts = ({ total, facets: all }: typeof a) =>
      JSON.stringify([total, Object.values(all).map(({ counts }) => Array.from(counts.live))]);
    if (counts(a) !== counts(b)) throw new DifferentAnswer("The column store and our engine count differently.");
  }
}

/** @param sizes numbers of products */
export async function benchScale(
  sizes = process.env.SCALE_SIZES?.split(",").filter(Boolean).map(Number) ?? usualSizes,
): Promise<void> {
  if (!hasClickhouse()) {
    console.error(
      "This part needs ClickHouse. On Debian: sudo apt-get install -y --no-install-recommends clickhouse-server",
    );
    process.exitCode = 2;
    return;
  }
  for (const products of sizes) {
    const { stores, close } = await startStores(2);
    const shards = stores.map(({ address }) => new Shard(address));
    const hash = createHash("sha256").update(String(products)).digest("hex");
    const index = new CatalogueIndex(made(products));
    let start = performance.now();
    await loadCatalogue(index, hash, shards);
    const load_s = rounded((performance.now() - start) / 1000);
    const sizesOnDisk = await Promise.all(
      shards.map((shard) => shard.rows<[number]>("SELECT sum(bytes_on_disk) FROM system.parts WHERE active")),
    );
    const store_mb = rounded(sizesOnDisk.flat().reduce((sum, [bytes]) => sum + bytes, 0) / 1e6);
    start = performance.now();
    const own = new LocalEngine(index);
    await own.ask(asked(3)[0] as Question);
    const index_s = rounded((performance.now() - start) / 1000);
    const store = await ColumnEngine.open(shards, hash);
    await compare(own, store);
    const line = { products, variants: products * variants, load_s, store_mb, index_s };
    const by = async (engine: Engine) => ({
      none: await timed(engine, asked(0)),
      one: await timed(engine, asked(1)),
      three: await timed(engine, asked(3)),
      together: await together(engine),
    });
    console.log(JSON.stringify({ ...line, store: await by(store), ours: await by(own) }));
    await close();
  }
  const { stores, close } = await startStores(2);
  for (const load of await benchServe(stores.map(({ address }) => address))) console.log(JSON.stringify(load));
  await close();
}
