import { describe, expect, it } from "vitest";
import { createApp } from "../../src/server/app.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { purgeRemoved, retentionDays } from "../../src/server/store/removal.ts";

/** The whole server over a database of its own with the demo shop. */
async function started() {
  const orm = await openDatabase(":memory:");
  await seedDemo(orm, ".");
  const app = createApp({ orm, root: "." });
  const ask = async (method: string, path: string, body?: unknown) => {
    const response = await app.request(`http://127.0.0.1${path}`, {
      method,
      headers: { host: "127.0.0.1", "content-type": "application/json", origin: "http://127.0.0.1" },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await response.text();
    return { status: response.status, body: text.startsWith("{") || text.startsWith("[") ? JSON.parse(text) : text };
  };
  return { orm, ask };
}

const demo = "/api/shops/larkmoss-nursery";
const panels = `${demo}/documents/panel`;
const slugs = (list: { slug: string }[]) => list.map(({ slug }) => slug);

describe("panels", () => {
  it("are removed, keep their place in addresses, and come back where they were", async () => {
    const { orm, ask } = await started();
    const before = slugs((await ask("GET", panels)).body);
    expect(before).toHaveLength(3);
    const [, second = ""] = before;
    expect(await ask("DELETE", `${panels}/${second}`)).toEqual({ status: 200, body: { retentionDays } });
    expect(slugs((await ask("GET", panels)).body)).toEqual(before.filter((slug) => slug !== second));
    expect((await ask("GET", `${panels}/${second}`)).status).toBe(404);
    expect((await ask("PUT", `${panels}/${second}`, { version: 1, document: {} })).status).toBe(404);
    // A page on which it stood is drawn without it.
    expect((await ask("GET", "/draft/larkmoss-nursery/articles/choosing-a-climber")).status).toBe(200);
    const again = await ask("POST", panels, { name: "Three questions" });
    expect(again.body.slug).not.toBe(second);
    const told = (await ask("GET", `${demo}/removed/panel`)).body;
    expect(told).toMatchObject([{ slug: second, name: "Three questions" }]);
    expect(Date.parse(told[0].removedAt)).toBeGreaterThan(Date.now() - 60_000);
    expect((await ask("GET", `${demo}/removed/look`)).body).toEqual([]);
    expect((await ask("GET", `${demo}/removed/pages`)).status).toBe(405);
    expect(slugs((await ask("POST", `${panels}/${second}/restore`)).body)).toEqual([...before, again.body.slug]);
    expect((await ask("GET", `${demo}/removed/panel`)).body).toEqual([]);
    expect((await ask("DELETE", `${panels}/no-such-panel`)).status).toBe(404);
    expect((await ask("DELETE", `${demo}/documents/pages/pages`)).status).toBe(405);
    await orm.close(true);
  });

  it("stand in the order that is asked for, all of them or none", async () => {
    const { orm, ask } = await started();
    const before = slugs((await ask("GET", panels)).body);
    const turned = [...before].reverse();
    expect(slugs((await ask("PUT", `${demo}/document-order/panel`, { slugs: turned })).body)).toEqual(turned);
    expect((await ask("PUT", `${demo}/document-order/panel`, { slugs: turned.slice(1) })).status).toBe(409);
    expect((await ask("PUT", `${demo}/document-order/panel`, { slugs: [...turned.slice(1), "x"] })).status).toBe(409);
    expect(slugs((await ask("GET", panels)).body)).toEqual(turned);
    await orm.close(true);
  });
});

describe("shops", () => {
  it("get another name and currency, and keep their address", async () => {
    const { orm, ask } = await started();
    expect((await ask("PUT", demo, { name: "Larkmoss & Daughters", currency: "GBP" })).body).toMatchObject({
      slug: "larkmoss-nursery",
      name: "Larkmoss & Daughters",
      currency: "GBP",
    });
    expect((await ask("GET", "/draft/larkmoss-nursery/")).body).toContain("£");
    for (const wrong of [{ name: "" }, { currency: "XXQ" }, { slug: "x" }])
      expect((await ask("PUT", demo, wrong)).status).toBe(400);
    await orm.close(true);
  });

  it("are removed and brought back whole; their address is free for nobody meanwhile", async () => {
    const { orm, ask } = await started();
    expect((await ask("DELETE", demo)).status).toBe(200);
    for (const path of [demo, panels, "/shop/larkmoss-nursery/", "/draft/larkmoss-nursery/"])
      expect((await ask("GET", path)).status, path).toBe(404);
    expect((await ask("GET", "/api/shops")).body).toEqual([]);
    expect((await ask("GET", "/api/removed")).body).toMatchObject([
      { slug: "larkmoss-nursery", name: "Larkmoss Nursery" },
    ]);
    // The demo is not put in the place of what was removed on purpose.
    expect(await seedDemo(orm, ".")).toBe(false);
    expect((await ask("POST", `${demo}/restore`)).body).toMatchObject({ slug: "larkmoss-nursery", products: 240 });
    expect((await ask("GET", "/shop/larkmoss-nursery/")).status).toBe(200);
    expect((await ask("POST", "/api/shops/no-such-shop/restore")).status).toBe(404);
    await orm.close(true);
  });

  it("are forgotten after so many days, and not before", async () => {
    const { orm, ask } = await started();
    await ask("DELETE", demo);
    const later = (days: number) => new Date(Date.now() + days * 86_400_000);
    await purgeRemoved(orm.em.fork(), later(retentionDays - 1));
    expect((await ask("GET", "/api/removed")).body).toHaveLength(1);
    await purgeRemoved(orm.em.fork(), later(retentionDays + 1));
    expect((await ask("GET", "/api/removed")).body).toEqual([]);
    expect((await ask("POST", `${demo}/restore`)).status).toBe(404);
    await orm.close(true);
  });
});
