import { readFileSync } from "node:fs";
import fc from "fast-check";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { createApp } from "../../src/server/app.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { createShop } from "../../src/server/store/shops.ts";
import { newShopOf } from "../new-shop.ts";
import { type Attack, some } from "./attack.ts";
import { type OddRequest, oddAddresses, oddDocuments, oddFiles } from "./odd-input.ts";

const usual = 10_000;
/** Longest that an answer may take, in ms. */
const longest = 2000;

/** Random and mutated inputs over every route and file format. */
export const inputs: Attack = {
  name: "random and mutated inputs, every route and file format",
  async run(share) {
    const csv = readFileSync("demo/nursery.csv", "utf8").split("\n").slice(0, 120).join("\n");
    const orm = await openDatabase(":memory:");
    const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
    await createShop(orm.em.fork(), { name: "Hostile", currency: "EUR", ...newShopOf(catalogue) });
    const app = createApp({ orm, root: process.cwd() });
    const ask = async (path: string, init: RequestInit = {}) =>
      app.request(`http://127.0.0.1${path}`, {
        ...init,
        headers: { host: "127.0.0.1", origin: "http://127.0.0.1", ...init.headers },
      });
    const documents = await oddDocuments(ask, "hostile");
    const kinds: fc.Arbitrary<OddRequest>[] = [
      ...documents,
      oddAddresses("hostile"),
      oddAddresses("hostile"),
      await oddFiles(ask, "hostile", csv),
    ];
    const seed = Date.now() % 2 ** 31;
    const failures: string[] = [];
    let [tries, slowest, memory] = [0, 0, 0];
    for (const kind of kinds) {
      for (const { path, init, what } of fc.sample(kind, { seed, numRuns: some(usual / kinds.length, share) })) {
        const start = performance.now();
        const answer = await ask(path, init);
        await answer.arrayBuffer();
        const took = performance.now() - start;
        slowest = Math.max(slowest, took);
        memory = Math.max(memory, process.memoryUsage().rss);
        tries++;
        if (answer.status >= 500) failures.push(`${answer.status} to ${what} (seed ${seed})`);
        if (took > longest) failures.push(`${Math.round(took)} ms for ${what} (seed ${seed})`);
      }
    }
    await orm.close(true);
    const measured = `slowest ${Math.round(slowest)} ms, at most ${Math.round(memory / 1e6)} MB`;
    return { tries, failures, measured };
  },
};
