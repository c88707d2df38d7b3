import { mkdtempSync, rmSync } from "node:fs";
import { request as send } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startServe, writeDownloaded } from "../serve-process.ts";
import { newShop, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

/** Publishes a shop's draft, and writes the edition into a folder as `trellis publish` does: the current one last. */
async function publishInto(page: Page, shop: string, folder: string): Promise<void> {
  const edition = await page.request.post(`/api/shops/${shop}/editions`, { data: { note: "" }, headers: origin });
  const { n } = await edition.json();
  const answer = await page.request.get(`/api/shops/${shop}/editions/${n}/files.zip`);
  writeDownloaded(await answer.body(), folder);
}

type Answer = { status: number; text: string } | { code: string };

const get = (port: number, path: string): Promise<Answer> =>
  new Promise((done) => {
    const asked = send({ port, path, host: "127.0.0.1", agent: false }, (answer) => {
      let text = "";
      answer.on("data", (bytes) => {
        text += bytes;
      });
      answer.on("end", () => done({ status: answer.statusCode ?? 0, text }));
      answer.on("error", () => done({ code: "held" }));
    });
    asked.on("error", (error: NodeJS.ErrnoException) =>
      done({ code: error.code === "ECONNREFUSED" ? "none" : "held" }),
    );
    asked.end();
  });

test("16 shoppers lose nothing when an edition is replaced, and only what a killed process held", async ({ page }) => {
  const shop = await newShop(page.request, "Served by two");
  const folder = mkdtempSync(join(tmpdir(), "trellis-served-"));
  await publishInto(page, shop, folder);
  let [one, two] = [await startServe(folder), await startServe(folder)];
  const ports = [one.port, two.port];
  await page.goto(`http://127.0.0.1:${one.port}/shop/${shop}/`);
  await awake(page);
  // A choice is counted by a process without a database as well.
  await page.locator(".zt-panel input[type=checkbox]").first().check();
  await expect(page).toHaveURL(/\?/);

  const under = [0, 0];
  const seen = { good: 0, held: 0, wrong: [] as string[], editions: new Set<string>() };
  let over = false;
  // A balancer looks at the health of both, and leaves out one that stops or does not take the connection.
  const well = [true, true];
  const look = async () => {
    while (!over) {
      for (const at of [0, 1]) {
        const answer = await get(ports[at] ?? 0, "/healthz");
        well[at] = "status" in answer && answer.status === 200;
      }
      await new Promise((done) => setTimeout(done, 100));
    }
  };
  const ask = async (first: number, path: string): Promise<void> => {
    for (const at of [first, 1 - first].sort((a, b) => Number(well[b]) - Number(well[a]))) {
      under[at] = (under[at] ?? 0) + 1;
      const answer = await get(ports[at] ?? 0, path);
      under[at] = (under[at] ?? 0) - 1;
      if ("code" in answer && answer.code === "none") continue;
      if ("code" in answer) seen.held++;
      else if (answer.status !== 200) seen.wrong.push(`${answer.status} ${path}`);
      else {
        seen.good++;
        const [, edition] = /"data":"[^"]*edition=(\d+)/.exec(answer.text) ?? [];
        if (edition !== undefined) seen.editions.add(edition);
      }
      return;
    }
    seen.wrong.push(`nobody ${path}`);
  };
  const shopper = async (at: number) => {
    for (let n = at; !over; n++) {
      await ask(n % 2, `/shop/${shop}/?light=half+shade&visit=${at}-${n % 5}`);
      await ask(n % 2, `/api/shops/${shop}/data?edition=1&only=light`);
    }
  };
  const shoppers = [look(), ...Array.from({ length: 16 }, (_, at) => shopper(at))];
  const until = (done: () => boolean) => expect.poll(done, { timeout: 60_000 }).toBe(true);
  await until(() => seen.good > 100);

  // A newer edition is taken over, by a signal and by itself, while everybody goes on.
  const path = `/api/shops/${shop}/documents/panel/first-panel`;
  const { version, document } = await (await page.request.get(path)).json();
  await page.request.put(path, {
    data: { version, document: { ...document, rows: document.rows.slice(1) } },
    headers: origin,
  });
  await publishInto(page, shop, folder);
  one.child.kill("SIGHUP");
  await until(() => seen.editions.has("2"));
  const [answer, other] = await Promise.all(ports.map((port) => get(port, `/shop/${shop}/`)));
  await expect.poll(async () => Object.values(await get(two.port, "/healthz")).join()).toContain('"edition":2');
  expect(answer && "status" in answer ? answer.status : undefined).toBe(200);
  expect(other && "status" in other ? other.status : undefined).toBe(200);
  expect([seen.held, seen.wrong]).toEqual([0, []]);

  // A process that is told to stop finishes what it has begun.
  const stopped = new Promise((done) => two.child.on("exit", done));
  two.child.kill("SIGTERM");
  expect(await stopped).toBe(0);
  expect([seen.held, seen.wrong]).toEqual([0, []]);
  two = await startServe(folder, two.port);

  // One that is killed loses what it held, and nothing else.
  const [held = 0] = under;
  const gone = new Promise((done) => one.child.on("exit", done));
  one.child.kill("SIGKILL");
  await gone;
  const before = seen.good;
  await until(() => seen.good > before + 50);
  one = await startServe(folder, one.port);
  await until(() => seen.good > before + 150);
  over = true;
  await Promise.all(shoppers);
  expect(seen.wrong).toEqual([]);
  expect(seen.held).toBeLessThanOrEqual(held + 16);
  for (const { child } of [one, two]) child.kill("SIGKILL");
  rmSync(folder, { recursive: true, force: true });
});
