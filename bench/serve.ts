/**
 * 16 shoppers at once over two `trellis serve` processes, which count by themselves or ask a column store over two
 * shards: a part of `npm run bench -- --scale`.
 */
import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { withServer } from "../tests/browser.ts";
import { startServe, writeDownloaded } from "../tests/serve-process.ts";
import { makeShop, publish } from "./made-shop.ts";
import { type Load, shopperRequests, under } from "./shoppers.ts";

const products = 100_000;
/** More questions than are asked, so that none is answered from a cache; and few, which repeat. */
const differing = [100_000, 40];

/** @param stores addresses of the shards */
export const benchServe = (stores: readonly string[]): Promise<Load[]> =>
  withServer(4394, async (origin) => {
    const made = await makeShop(origin, products, 14);
    await publish(origin, made.shop);
    const zip = await fetch(`${origin}/api/shops/${made.shop}/editions/1/files.zip`);
    const folder = mkdtempSync(join(tmpdir(), "trellis-bench-serve-"));
    try {
      writeDownloaded(new Uint8Array(await zip.arrayBuffer()), folder);
      const load = ["dist/server/trellis.js", "load", folder, ...stores.flatMap((store) => ["--store", store])];
      const { status, stderr } = spawnSync(process.execPath, load, { encoding: "utf8" });
      if (status !== 0) throw new Error(stderr);
      return [...(await served("own engine", folder, [])), ...(await served("column store", folder, stores))];
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }

    async function served(engine: string, files: string, shards: readonly string[]): Promise<Load[]> {
      const processes = [await startServe(files, 0, shards), await startServe(files, 0, shards)];
      const origins = processes.map(({ port }) => `http://127.0.0.1:${port}`);
      const loads: Load[] = [];
      for (const different of differing) {
        const { ask } = shopperRequests(made, different);
        // Whatever is made once is made.
        for (const each of origins) await ask(each, 0);
        const send = (n: number) => ask(origins[n % origins.length] ?? "", n);
        loads.push(await under(`${engine}, ${different} different`, send, { shoppers: 16, seconds: 20 }));
      }
      for (const { child } of processes) child.kill("SIGKILL");
      return loads;
    }
  });
