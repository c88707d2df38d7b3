import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { request as ask } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "libsql";
import { perform } from "../../src/core/document/edit.ts";
import { renamePanel } from "../../src/core/panel/edit.ts";
import { holdWriteLock } from "../hold-lock.ts";
import { type RunningServer, serverProgram, startServer } from "../server.ts";
import { demoShop } from "./bench.ts";
import { expect, test } from "./test.ts";

const port = 4396;
const panel = `/api/shops/${demoShop}/documents/panel/climber-finder`;
let folder: string;
let file: string;
let server: RunningServer | undefined;

test.describe.configure({ mode: "serial" });
test.beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "trellis-durable-"));
  file = join(folder, "shop.db");
});
test.beforeEach(async () => {
  server ??= await startServer(port, file);
});
test.afterAll(async () => {
  await server?.kill();
  rmSync(folder, { recursive: true, force: true });
});

const here = () => {
  if (!server) throw new Error("The server is not running.");
  return server;
};
const restart = async () => {
  await here().kill();
  server = await startServer(port, file);
};
const get = async (path: string) => (await fetch(here().origin + path)).json();
const put = (path: string, body: unknown) =>
  fetch(here().origin + path, {
    method: "PUT",
    headers: { "content-type": "application/json", origin: here().origin },
    body: JSON.stringify(body),
  });

test("every save that was answered is on disk, also when another program held the write lock meanwhile", async () => {
  let { version, document } = await get(panel);
  // Another program writes for 0.6 s; saves wait for it, and none is answered before it is written.
  const freed = holdWriteLock(file, 600);
  const statuses: number[] = [];
  for (let i = 0; i < 7; i++) {
    document = { ...document, name: `Saved ${i}` };
    const answer = await put(panel, { version, document });
    statuses.push(answer.status);
    if (answer.ok) version = (await answer.json()).version;
  }
  await freed;
  expect(statuses).toEqual(Array(7).fill(200));
  await restart();
  expect(await get(panel)).toMatchObject({ version, document: { name: "Saved 6" } });
});

test("a write that waits too long is refused and leaves nothing behind that later ones would hang on", async () => {
  const { version, document } = await get(panel);
  const other = new Database(file);
  other.exec("begin immediate");
  const refused = await put(panel, { version, document: { ...document, name: "Too late" } });
  expect(refused.status).toBe(503);
  expect((await refused.json()).error).toMatch(/busy|try again/i);
  other.exec("rollback");
  other.close();
  const next = await put(panel, { version, document: { ...document, name: "In time" } });
  expect(next.status).toBe(200);
  await restart();
  expect(await get(panel)).toMatchObject({ version: version + 1, document: { name: "In time" } });
});

test("the last steps outlive a restart", async () => {
  const { version, document } = await get(panel);
  const change = perform(document, renamePanel("One step on"));
  if (!change) throw new Error("The step changes nothing.");
  const step = { n: 1, at: 5, words: "Rename", patches: change.patches, inverse: change.inverse };
  expect(
    (await put(panel, { version, document: change.document, history: { from: 1, steps: [step], done: 1 } })).ok,
  ).toBe(true);
  await restart();
  expect((await get(panel)).history).toEqual({ steps: [step], done: 1 });
});

test("a second program on the same file is refused at its start, and told what to do", () => {
  const args = [serverProgram, "--port", "4395", "--data", file];
  for (const more of [[], ["--fresh"]]) {
    const { status, stderr } = spawnSync(process.execPath, [...args, ...more], { encoding: "utf8", timeout: 20_000 });
    expect(status).toBe(1);
    expect(stderr).toMatch(/is open in another running Zany Trellis.*--data FILE/);
  }
  const taken = spawnSync(
    process.execPath,
    [serverProgram, "--port", String(port), "--data", join(folder, "other.db")],
    { encoding: "utf8", timeout: 20_000 },
  );
  expect(taken.status).toBe(1);
  expect(taken.stderr).toMatch(/Port 4396 is taken/);
});

test("only names of this machine are answered", async () => {
  const answered = (host: string) =>
    new Promise<number>((done, failed) =>
      ask({ host: "127.0.0.1", port, path: "/api/shops", headers: { host } }, (response) => {
        response.resume();
        done(response.statusCode ?? 0);
      })
        .on("error", failed)
        .end(),
    );
  for (const host of [`127.0.0.1:${port}`, `localhost:${port}`, "[::1]"])
    expect([host, await answered(host)]).toEqual([host, 200]);
  for (const host of ["evil.example", `evil.example:${port}`, "127.0.0.1.evil.example", "localhost.evil.example"])
    expect([host, await answered(host)]).toEqual([host, 403]);
});

test("a server that is killed in the middle of an import has the old catalogue afterwards, whole", async () => {
  const old = readFileSync("demo/nursery.csv", "utf8").trim().split("\n").length - 1;
  const many = 90_000;
  const words = (i: number) => `${(i * 2_654_435_761) % 4_294_967_296} ${(i * 40_503) % 65_521} lorem`;
  const rows = Array.from({ length: many }, (_, i) => `n${i},${words(i)},${words(i + 7)},${words(i * 3)}`);
  const csv = `product_id,title,note,other\n${rows.join("\n")}\n`;
  const log = `${file}-wal`;
  const size = () => (existsSync(log) ? statSync(log).size : 0);
  let cutOff = 0;
  for (let attempt = 0; attempt < 4 && cutOff === 0; attempt++) {
    const before = size();
    const form = new FormData();
    form.set("file", new File([csv], "new.csv"));

    const { origin } = here();
    const sent = fetch(`${origin}/api/shops/${demoShop}/catalogue`, {
      method: "POST",
      body: form,
      headers: { origin },
    }).then(
      ({ status }) => status,
      () => 0,
    );
    // The first part has been written when the log has grown by it; nothing of it is committed yet.
    for (let i = 0; i < 20_000 && size() <= before; i++) await new Promise((done) => setTimeout(done, 1));
    expect(size()).toBeGreaterThan(before);
    await restart();
    const status = await sent;
    const { products } = await get(`/api/shops/${demoShop}`);
    const csvNow = await (await fetch(`${here().origin}/api/shops/${demoShop}/catalogue.csv`)).text();
    expect(csvNow.trim().split("\r\n").length - 1).toBe(products === 240 ? old : many);
    if (status === 0 && products === 240) cutOff++;
  }
  expect(cutOff).toBe(1);
});

test("a server that is killed while it publishes leaves the old edition or the new one, whole", async () => {
  const editions = `/api/shops/${demoShop}/editions`;
  for (let turn = 0; turn < 3; turn++) {
    const { version, document } = await get(panel);
    await put(panel, { version, document: { ...document, name: `Turn ${turn}` } });
    const before: { n: number }[] = await get(editions);
    const publishing = fetch(here().origin + editions, {
      method: "POST",
      headers: { "content-type": "application/json", origin: here().origin },
      body: JSON.stringify({ note: `Turn ${turn}` }),
    }).then(
      ({ status }) => status,
      () => 0,
    );
    await new Promise((done) => setTimeout(done, turn * 25));
    await restart();
    const answered = await publishing;
    const after: { n: number }[] = await get(editions);
    // Confirmed saves are there; the others are there whole, or not at all.
    expect(after.length - before.length).toBeGreaterThanOrEqual(answered === 201 ? 1 : 0);
    expect(after.length - before.length).toBeLessThanOrEqual(1);
    for (const { n } of after)
      expect((await fetch(`${here().origin}/edition/${demoShop}/${n}/`)).status, `edition ${n}`).toBe(200);
  }
});
