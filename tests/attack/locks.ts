import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { holdWriteLock } from "../hold-lock.ts";
import { startServer } from "../server.ts";
import { type Attack, some } from "./attack.ts";

const panel = "/api/shops/larkmoss-nursery/documents/panel/climber-finder";

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
