/**
 * How long a small request waits while somebody else's large one is under way: `npm run bench -- --load`. It is asked
 * again and again from a thread of its own, on a shop of 40,000 products.
 */
import { Worker } from "node:worker_threads";
import { withServer } from "../tests/browser.ts";
import { makeShop } from "./made-shop.ts";

/** Waiting times of a small request, meanwhile. */
export interface Hold {
  name: string;
  /** How long the large one took. */
  seconds: number;
  median_ms: number;
  worst_ms: number;
}

/** Asks a small question without a pause, and tells how long each took when it is asked for that. */
const asking = `
const { parentPort, workerData } = require("node:worker_threads");
let times = [];
parentPort.on("message", () => { parentPort.postMessage(times); times = []; });
(async () => {
  for (;;) {
    const start = performance.now();
    await (await fetch(workerData)).arrayBuffer();
    times.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 5));
  }
})();`;

export const benchHolds = (): Promise<Hold[]> =>
  withServer(4390, async (origin) => {
    const asker = new Worker(asking, { eval: true, workerData: `${origin}/api/removed` });
    const waited = () =>
      new Promise<number[]>((done) => {
        asker.once("message", done);
        asker.postMessage("");
      });
    const holds: Hold[] = [];
    const during = async <T>(name: string, task: () => Promise<T>): Promise<T> => {
      await waited();
      const start = performance.now();
      const value = await task();
      const seconds = (performance.now() - start) / 1000;
      // A request sent meanwhile may still wait for its answer.
      await new Promise((done) => setTimeout(done, 300));
      const times = (await waited()).sort((a, b) => a - b);
      holds.push({
        name,
        seconds: Number(seconds.toFixed(2)),
        median_ms: Math.round(times[times.length >> 1] ?? 0),
        worst_ms: Math.round(times.at(-1) ?? 0),
      });
      return value;
    };
    const { shop } = await during("a file of 40,000 rows is imported", () => makeShop(origin, 40_000, 20));
    const body = JSON.stringify({ note: "" });
    const headers = { origin, "content-type": "application/json" };
    const get = (path: string) => async () => (await fetch(origin + path)).arrayBuffer();
    await during("it is published", () =>
      fetch(`${origin}/api/shops/${shop}/editions`, { method: "POST", headers, body }),
    );
    await during("its first page is drawn", get(`/shop/${shop}/`));
    for (const what of ["overview", "catalogue.csv", "catalogue.jsonld", "folder.zip", "source", "data"])
      await during(`its ${what} is sent`, get(`/api/shops/${shop}/${what}`));
    await during("its handoff is made", get(`/api/shops/${shop}/handoff.zip?of=draft`));
    const zip = await (await fetch(`${origin}/api/shops/${shop}/folder.zip`)).blob();
    const form = new FormData();
    form.set("file", zip, "shop.zip");
    await during("its folder is brought", () =>
      fetch(`${origin}/api/folders`, { method: "POST", body: form, headers: { origin } }),
    );
    await asker.terminate();
    return holds;
  });
