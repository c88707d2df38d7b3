import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Piscina } from "piscina";
import { afterAll, expect, it } from "vitest";
import { runTask } from "./run-task.ts";

// A program that answers at once, or goes on for ever: only the end of its thread ends it.
const folder = mkdtempSync(join(tmpdir(), "trellis-task-"));
const filename = join(folder, "worker.mjs");
writeFileSync(
  filename,
  "const begin = ({ begun }) => Atomics.store(begun, 0, 1);\n" +
    "export const quick = (sent) => (begin(sent), sent.task + 1);\n" +
    "export const endless = (sent) => { begin(sent); for (;;); };\n",
);
const pool = new Piscina({ filename, minThreads: 1, maxThreads: 1 });
pool.on("error", () => {});
afterAll(async () => {
  await pool.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const quick = () => runTask<number>(pool, 1, { name: "quick", deadline: { max: 20 } });

it("is ended with its thread where it takes longer than it may, and the next task is done", async () => {
  expect(await quick()).toBe(2);
  const endless = runTask(pool, undefined, { name: "endless", deadline: { max: 0.2 } });
  await expect(endless).rejects.toMatchObject({ status: 503, message: expect.stringContaining("was stopped") });
  expect(await quick()).toBe(2);
});

it("is ended a moment after whoever asked has gone away, and one that waits behind it is done", async () => {
  const client = new AbortController();
  const endless = runTask(pool, undefined, { name: "endless", deadline: { max: 60 }, client: client.signal });
  const behind = quick();
  client.abort();
  await expect(endless).rejects.toMatchObject({ status: 503 });
  expect(await behind).toBe(2);
});
