import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "libsql";
import { startServer } from "../server.ts";
import { type Attack, type Attacked, some } from "./attack.ts";

const port = 4388;
const panel = "/api/shops/larkmoss-nursery/documents/panel/climber-finder";

interface Killing {
  tries: number;
  /** The kill comes within so many ms. */
  within: number;
  /** Done again and again until the server is gone. @param heard counts what was answered */
  task(origin: string, heard: { last: number }): Promise<void>;
  /** Looks at what is there afterwards. @returns what is wrong */
  look(origin: string, heard: number): Promise<string | undefined>;
}

/**
 * Kills servers at a random moment of a task. The next server on the file tells what is there, and is the one that is
 * killed next.
 */
async function killing({ tries, within, task, look }: Killing): Promise<Attacked> {
  const folder = mkdtempSync(join(tmpdir(), "trellis-kills-"));
  const file = join(folder, "shop.db");
  const failures: string[] = [];
  let answered = 0;
  let server = await startServer(port, file);
  try {
    for (let n = 1; n <= tries; n++) {
      const heard = { last: 0 };
      // The first act waits for threads to start; the clock runs from the second on.
      await task(server.origin, heard);
      const work = (async () => {
        for (;;) await task(server.origin, heard);
      })().catch(() => {});
      await new Promise((done) => setTimeout(done, Math.random() * within));
      await server.kill();
      await work;
      answered += heard.last > 1 ? 1 : 0;
      server = await startServer(port, file);
      const fault = await look(server.origin, heard.last);
      if (fault) failures.push(`kill ${n}: ${fault}`);
      const database = new Database(file);
      const [row] = database.prepare("pragma integrity_check").all() as { integrity_check: string }[];
      if (row?.integrity_check !== "ok") failures.push(`kill ${n}: integrity ${row?.integrity_check}`);
      database.close();
    }
  } finally {
    await server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
  return { tries, failures, measured: `in ${answered} of them more was answered between the first and the kill` };
}

const put = async (origin: string, path: string, body: unknown) =>
  fetch(origin + path, {
    method: "PUT",
    headers: { "content-type": "application/json", origin },
    body: JSON.stringify(body),
  });

/** Kills while a panel is saved again and again: what was answered is there. */
export const savingKills: Attack = {
  name: "killed while saving",
  run: (share) =>
    killing({
      tries: some(120, share),
      within: 400,
      async task(origin, heard) {
        const { version, document } = await (await fetch(origin + panel)).json();
        const answer = await put(origin, panel, { version, document: { ...document, name: `Saved over ${version}` } });
        if (!answer.ok) throw new Error(await answer.text());
        heard.last = (await answer.json()).version;
      },
      async look(origin, heard) {
        const { version, document } = await (await fetch(origin + panel)).json();
        if (version < heard) return `version ${version} is stored, ${heard} was answered`;
        return document.name === `Saved over ${version - 1}`
          ? undefined
          : `version ${version} is called ${document.name}`;
      },
    }),
};

/** Kills while another catalogue is brought: the old one or the new one is there, whole. */
export const importKills: Attack = {
  name: "killed while importing",
  run(share) {
    const csv = readFileSync("demo/nursery.csv", "utf8");
    const half = csv.split("\n").slice(0, 300).join("\n");
    const files = [csv, half];
    return killing({
      tries: some(80, share),
      within: 400,
      async task(origin, heard) {
        const form = new FormData();
        form.set("file", new File([files[heard.last % 2] ?? ""], "catalogue.csv"));
        const path = "/api/shops/larkmoss-nursery/catalogue";
        const answer = await fetch(origin + path, { method: "POST", body: form, headers: { origin } });
        if (!answer.ok) throw new Error(await answer.text());
        heard.last++;
      },
      async look(origin) {
        const { products } = await (await fetch(`${origin}/api/shops/larkmoss-nursery`)).json();
        const page = await fetch(`${origin}/draft/larkmoss-nursery/`);
        const told = Number((await page.text()).replace(/<\/?bdi>/g, "").match(/>(\d+) products</)?.[1]);
        if (page.status !== 200) return `the page answers ${page.status}`;
        return told === products ? undefined : `the shop tells ${products} products and its page ${told}`;
      },
    });
  },
};
