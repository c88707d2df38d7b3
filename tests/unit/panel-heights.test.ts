import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { MikroORM } from "@mikro-orm/libsql";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";
import type { Measure } from "../../src/core/findings/measure.ts";
import { writeHeights } from "../../src/core/rehearsal/heights-file.ts";
import type { WholeShop } from "../../src/core/shop/archive/whole-shop.ts";
import { createApp } from "../../src/server/app.ts";
import { makeHandoff } from "../../src/server/handoff/make.ts";
import { handoffScripts } from "../../src/server/handoff/scripts.ts";
import { spaceName } from "../../src/server/handoff/space.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";
import { listShops } from "../../src/server/store/shops.ts";
import { wholeShop } from "../../src/server/store/whole-shops.ts";
import { reservedHeights } from "../reserved-heights.ts";

const slug = "larkmoss-nursery";
const panel = "climber-finder";
const folder = mkdtempSync(join(tmpdir(), "trellis-heights-"));
const data = join(folder, "shops.db");
let orm: MikroORM;
let whole: WholeShop;

beforeAll(async () => {
  orm = await openDatabase(data);
  await seedDemo(orm, ".");
  const em = orm.em.fork();
  const [shop] = await listShops(em);
  if (!shop) throw new Error("There is no demo shop.");
  whole = await wholeShop(em, shop);
  await handoffScripts();
}, 120_000);
afterAll(async () => {
  await closeDatabase(orm);
  rmSync(folder, { recursive: true, force: true });
});

describe("the space reserved for a panel", () => {
  const spaceOf = async (shop: WholeShop, wishes: Parameters<typeof makeHandoff>[1]) => {
    const { files } = await makeHandoff(shop, { pages: ["/"], ...wishes });
    return reservedHeights(new TextDecoder().decode(files.get(spaceName)), panel);
  };

  it("is what a browser has measured, and nothing where the panel takes up nothing", async () => {
    const measured = { [panel]: { wide: 321, medium: 44, slim: 0 } };
    expect((await spaceOf(whole, { measured })).filter((px) => px !== undefined)).toEqual([321, 44]);
  });

  it("is the row heights’ sum where the panel is open, but a button where it is behind one", async () => {
    const panels = whole.panels.map((one) =>
      one.slug === panel
        ? {
            ...one,
            document: { ...one.document, placement: { wide: "left", medium: "folded", slim: "folded" } as const },
          }
        : one,
    );
    const shop = { ...whole, panels };
    const measure: Measure = { rows: {}, panel: 777, screen: 700, bars: 0, products: 100 };
    const on = new Map([[panel, measure]]);
    const documents = new Map(panels.map((one) => [one.slug, one.document]));
    const heights = writeHeights("/", documents, { wide: on, medium: on, slim: on });
    const [wide, medium, slim] = await spaceOf(shop, { heights });
    expect(wide).toBe(777);
    expect(medium).toBeLessThan(100);
    expect(slim).toBe(medium);
  });

  it("is stored with an edition, for the studio’s download and the command line", async () => {
    const tool = createApp({ orm, root: process.cwd() });
    const headers = { host: "127.0.0.1", origin: "http://127.0.0.1", "content-type": "application/json" };
    const send = (method: string, path: string, body?: unknown) =>
      tool.request(`http://127.0.0.1/api/shops/${slug}${path}`, {
        method,
        headers,
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
    const heights = { [panel]: { wide: 432, medium: 55, slim: 44 } };
    expect((await send("PUT", "/editions/1/heights", { heights })).status).toBe(204);
    const preview = await (await send("GET", "/handoff?of=1")).json();
    expect(preview.measured).toBe(true);
    expect((await (await send("GET", "/handoff?of=draft")).json()).measured).toBe(false);
    const out = join(folder, "site");
    expect((await runTrellis(["handoff", "--shop", slug, "--data", data, "--out", out])).status).toBe(0);
    expect(reservedHeights(readFileSync(join(out, spaceName), "utf8"), panel)).toEqual([432, 55, 44]);
  });

  it("is refused for an edition that does not exist, and unless it is a height", async () => {
    const tool = createApp({ orm, root: process.cwd() });
    const headers = { host: "127.0.0.1", origin: "http://127.0.0.1", "content-type": "application/json" };
    const put = async (n: string, heights: unknown) => {
      const init = { method: "PUT", headers, body: JSON.stringify({ heights }) };
      const answer = await tool.request(`http://127.0.0.1/api/shops/${slug}/editions/${n}/heights`, init);
      return [answer.status, (await answer.json()).error];
    };
    expect(await put("99", {})).toEqual([404, "This shop has no edition 99. Choose one of those under Editions."]);
    expect((await put("draft", {}))[0]).toBe(404);
    for (const wrong of [{ [panel]: { wide: -1, medium: 1, slim: 1 } }, { [panel]: { wide: "1" } }, [1]])
      expect((await put("1", wrong))[0]).toBe(400);
  });
});
