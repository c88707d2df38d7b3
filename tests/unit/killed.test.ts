import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "trellis-killed-"));
const port = 4396;
const origin = `http://127.0.0.1:${port}`;
let server: ChildProcess | undefined;

async function start(): Promise<void> {
  server = spawn(
    process.execPath,
    ["--import", "tsx", "src/server/main.ts", "--port", String(port), "--data", join(folder, "shop.db")],
    {
      stdio: "ignore",
    },
  );
  for (let i = 0; i < 200; i++) {
    if (
      await fetch(`${origin}/api/shops`).then(
        (response) => response.ok,
        () => false,
      )
    )
      return;
    await pause(50);
  }
  throw new Error("The server did not start.");
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
const stopped = (child: ChildProcess) => new Promise((done) => child.once("exit", done));

afterAll(() => {
  server?.kill("SIGKILL");
  rmSync(folder, { recursive: true, force: true });
});

describe("a server that is killed in the middle of an import", () => {
  it("has the old catalogue or the new one afterwards, never a part", async () => {
    const old = readFileSync("demo/nursery.csv", "utf8");
    const many = 40_000;
    const file = `product_id,title,colour\n${Array.from({ length: many }, (_, i) => `n${i},New ${i},colour ${i % 40}`).join("\n")}\n`;
    await start();
    for (const wait of [200, 700, 1500]) {
      const form = new FormData();
      form.set("file", new File([file], "new.csv"));
      form.set("write", "yes");
      const sent = fetch(`${origin}/api/shops/larkmoss-nursery/catalogue`, {
        method: "POST",
        body: form,
        headers: { origin },
      }).then(
        (response) => response.status,
        () => 0,
      );
      await pause(wait);
      const child = server as ChildProcess;
      child.kill("SIGKILL");
      await Promise.all([stopped(child), sent]);
      await start();

      const { products, variants } = await (await fetch(`${origin}/api/shops/larkmoss-nursery`)).json();
      const rows =
        (await (await fetch(`${origin}/api/shops/larkmoss-nursery/catalogue.csv`)).text()).trim().split("\r\n").length -
        1;
      expect([products, variants, rows]).toEqual(
        products === 240 ? [240, 799, old.trim().split("\n").length - 1] : [many, many, many],
      );
      if (products !== 240) break;
    }
  }, 120_000);
});
