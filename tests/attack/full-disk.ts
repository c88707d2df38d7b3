import { spawn } from "node:child_process";
import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serverProgram, startServer } from "../server.ts";
import type { Attack } from "./attack.ts";

const port = 4388;
const panel = "/api/shops/larkmoss-nursery/documents/panel/climber-finder";

/**
 * The file may not grow: a limit of the shell on the size of files, which the database meets as a full disk. What cannot
 * be written is refused in a sentence, what was there stays, and with room again it goes on.
 */
export const fullDisk: Attack = {
  name: "no room to write",
  async run() {
    const folder = mkdtempSync(join(tmpdir(), "trellis-full-"));
    const file = join(folder, "shop.db");
    const failures: string[] = [];
    const first = await startServer(port, file);
    const before = await (await fetch(first.origin + panel)).json();
    first.child.kill("SIGTERM");
    await new Promise((done) => first.child.once("exit", done));
    const blocks = Math.ceil(statSync(file).size / 1024) + 40;
    const child = spawn(
      "bash",
      [
        "-c",
        `trap '' XFSZ; ulimit -f ${blocks}; exec "${process.execPath}" ${serverProgram} --port ${port} --site-port 0 --data "${file}"`,
      ],
      { stdio: ["ignore", "ignore", "ignore"] },
    );
    const origin = `http://127.0.0.1:${port}`;
    for (let i = 0; i < 600; i++) {
      if (
        await fetch(`${origin}/api/shops`).then(
          ({ ok }) => ok,
          () => false,
        )
      )
        break;
      await new Promise((done) => setTimeout(done, 50));
    }
    let { version, document } = before;
    let [refused, tries, said] = [0, 0, ""];
    // More and more text, until there is no more room.
    for (; tries < 40 && refused < 3; tries++) {
      const rows = [
        ...document.rows,
        { kind: "piece", piece: "text", id: `t${tries}`, label: "", html: `<p>${"x".repeat(15_000)}</p>` },
      ];
      const answer = await fetch(origin + panel, {
        method: "PUT",
        headers: { "content-type": "application/json", origin },
        body: JSON.stringify({ version, document: { ...document, rows } }),
      }).catch(() => undefined);
      if (answer?.ok) {
        version = (await answer.json()).version;
        document = { ...document, rows };
      } else {
        refused++;
        said = answer ? `${answer.status} ${(await answer.json().catch(() => ({}))).error ?? ""}` : "no answer";
      }
    }
    if (refused === 0) failures.push("Nothing was refused, so nothing was tried.");
    if (!/disk|room|full/i.test(said)) failures.push(`It was told: ${said}`);
    child.kill("SIGKILL");
    await new Promise((done) => child.once("exit", done));
    const again = await startServer(port, file);
    const stored = await (await fetch(again.origin + panel)).json();
    if (stored.version !== version) failures.push(`${stored.version} is stored, ${version} was answered`);
    const next = await fetch(again.origin + panel, {
      method: "PUT",
      headers: { "content-type": "application/json", origin: again.origin },
      body: JSON.stringify({ version: stored.version, document: { ...stored.document, name: "Room again" } }),
    });
    if (!next.ok) failures.push(`With room again a save is answered ${next.status}`);
    await again.kill();
    rmSync(folder, { recursive: true, force: true });
    return { tries, failures, measured: `told: ${said.slice(0, 90)}` };
  },
};
