import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { holdWriteLock } from "../hold-lock.ts";
import { startServer } from "../server.ts";
import { type Attack, some } from "./attack.ts";

const panel = "/api/shops/larkmoss-nursery/documents/panel/climber-finder";

/** A page that is kept is answered within so many ms, whoever holds the lock. */
const maxMs = 100;

/** Asks for a page again and again, from a thread of its own that nothing else keeps busy. */
function visiting(address: string) {
  const thread = new Worker(
    `const { parentPort, workerData } = require("node:worker_threads");
    let over = false;
    parentPort.on("message", () => { over = true; });
    (async () => {
      let [count, slowest] = [0, 0];
      while (!over) {
        const start = performance.now();
        await (await fetch(workerData)).text();
        // The first connection is the thread's own start.
        if (count++ > 0) slowest = Math.max(slowest, performance.now() - start);
        await new Promise((done) => setTimeout(done, 20));
      }
      parentPort.postMessage({ count, slowest });
    })();`,
    { eval: true, workerData: address },
  );
  return {
    stop: () =>
      new Promise<{ count: number; slowest: number }>((done) => {
        thread.once("message", (told) => {
          void thread.terminate();
          done(told);
        });
        thread.postMessage("over");
      }),
  };
}

/** Another program holds the write lock for 3 s while 20 saves wait: pages that need no write are answered meanwhile. */
export const waitingSaves: Attack = {
  name: "a kept page while 20 saves wait for a lock",
  async run(share) {
    const folder = mkdtempSync(join(tmpdir(), "trellis-waiting-"));
    const file = join(folder, "shop.db");
    const server = await startServer(4388, file);
    const tries = some(5, share);
    const failures: string[] = [];
    let [pages, longest] = [0, 0];
    try {
      const page = async () => (await fetch(`${server.origin}/shop/larkmoss-nursery/`)).text();
      for (let n = 0; n < 5; n++) await page();
      for (let n = 0; n < tries; n++) {
        const { version, document } = await (await fetch(server.origin + panel)).json();
        const freed = holdWriteLock(file, 3000);
        const visitor = visiting(`${server.origin}/shop/larkmoss-nursery/`);
        const saves = Array.from({ length: 20 }, (_, i) =>
          fetch(server.origin + panel, {
            method: "PUT",
            headers: { "content-type": "application/json", origin: server.origin },
            body: JSON.stringify({ version, document: { ...document, name: `Waiting ${i}` } }),
          }),
        );
        await freed;
        const { count, slowest } = await visitor.stop();
        pages += count;
        longest = Math.max(longest, slowest);
        if (slowest > maxMs) failures.push(`round ${n + 1}: a kept page took ${Math.round(slowest)} ms`);
        const statuses = (await Promise.all(saves)).map(({ status }) => status).sort();
        // One is saved, the others were over the version of before.
        if (statuses[0] !== 200 || statuses.slice(1).some((status) => status !== 409))
          failures.push(`round ${n + 1}: the saves were answered ${statuses.join(", ")}`);
      }
      // Told to end while somebody else holds the lock: a sentence, and no stack trace.
      const freed = holdWriteLock(file, 3000);
      const gone = new Promise<number | null>((done) => server.child.once("exit", done));
      server.child.kill("SIGTERM");
      const status = await gone;
      if (status === null) failures.push("SIGTERM under a lock ended it by a signal.");
      await freed;
    } finally {
      await server.kill();
      rmSync(folder, { recursive: true, force: true });
    }
    return { tries, failures, measured: `${pages} pages, the longest ${Math.round(longest)} ms` };
  },
};

/** Another program holds the write lock for up to 1.5 s while a panel is saved: all that was answered is on disk after a kill. */
export const locks: Attack = {
  name: "write lock held by another process",
  async run(share) {
    const folder = mkdtempSync(join(tmpdir(), "trellis-locks-"));
    const file = join(folder, "shop.db");
    const tries = some(30, share);
    const failures: string[] = [];
    let server = await startServer(4388, file);
    let [saved, longest] = [0, 0];
    try {
      for (let n = 0; n < tries; n++) {
        let { version, document } = await (await fetch(server.origin + panel)).json();
        const freed = holdWriteLock(file, Math.random() * 1500);
        for (let i = 0; i < 4; i++) {
          const start = performance.now();
          document = { ...document, name: `Locked ${n} ${i}` };
          const answer = await fetch(server.origin + panel, {
            method: "PUT",
            headers: { "content-type": "application/json", origin: server.origin },
            body: JSON.stringify({ version, document }),
          });
          longest = Math.max(longest, performance.now() - start);
          if (!answer.ok) failures.push(`round ${n + 1}: a save was answered ${answer.status}`);
          else {
            version = (await answer.json()).version;
            saved++;
          }
        }
        await freed;
        await server.kill();
        server = await startServer(4388, file);
        const stored = await (await fetch(server.origin + panel)).json();
        if (stored.version !== version)
          failures.push(`round ${n + 1}: ${stored.version} is stored, ${version} was answered`);
      }
    } finally {
      await server.kill();
      rmSync(folder, { recursive: true, force: true });
    }
    return { tries, failures, measured: `${saved} saves, the longest waited ${Math.round(longest)} ms` };
  },
};
