import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { gate } from "../../src/server/access/gate.ts";
import { Password } from "../../src/server/access/password.ts";
import { LoginDelays, PasswordQueue, Sessions } from "../../src/server/access/sessions.ts";
import { createApp } from "../../src/server/app.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { openDatabase } from "../../src/server/store/database.ts";

const folder = mkdtempSync(join(tmpdir(), "trellis-gate-"));
const password = new Password(join(folder, "shops.db.password"));
const { guard, routes, firstKey } = gate(password);
let app: ReturnType<typeof createApp>;
let close: () => Promise<void>;
const own = { host: "tool.example", origin: "http://tool.example" };
const get = (path: string, headers: Record<string, string> = {}) =>
  app.request(`http://tool.example${path}`, { headers: { ...own, ...headers } });
const signIn = (fields: Record<string, string>, headers: Record<string, string> = {}) =>
  app.request("http://tool.example/sign-in", {
    method: "POST",
    headers: { ...own, "content-type": "application/x-www-form-urlencoded", ...headers },
    body: new URLSearchParams(fields).toString(),
  });
const cookieOf = (response: Response) => response.headers.get("set-cookie") ?? "";

beforeAll(async () => {
  const orm = await openDatabase(join(folder, "shops.db"));
  await seedDemo(orm, ".");
  app = createApp({ orm, root: process.cwd(), names: ["tool.example"], gate: { guard, routes } });
  close = () => orm.close(true);
});
afterAll(async () => {
  await close();
  rmSync(folder, { recursive: true, force: true });
});

describe("a server that is open to a network", () => {
  it("is closed until a password is set, which only who reads the terminal can", async () => {
    expect((await get("/api/shops")).status).toBe(401);
    expect((await get("/sign-in")).status).toBe(503);
    expect((await get(`/sign-in?key=${"x".repeat(firstKey.length)}`)).status).toBe(503);
    expect((await signIn({ password: "long enough", key: "wrong" })).status).toBe(403);
    expect(password.isSet).toBe(false);
    expect(await (await get(`/sign-in?key=${firstKey}`)).text()).toContain("Set a password");
    const short = await signIn({ password: "short", key: firstKey });
    expect([short.status, await short.text()]).toEqual([400, expect.stringContaining("at least 8 characters")]);
    const set = await signIn({ password: "long enough", key: firstKey });
    expect([set.status, set.headers.get("location"), password.isSet]).toEqual([302, "/", true]);
    expect(statSync(password.file).mode & 0o777).toBe(0o600);
    // The key has done its work.
    expect((await signIn({ password: "another one", key: firstKey })).status).toBe(403);
    expect(await password.is("long enough")).toBe(true);
  });

  it("lets in who knows the password, by a cookie that scripts and other sites do not get", async () => {
    const wrong = await signIn({ password: "not this one" });
    expect([wrong.status, cookieOf(wrong)]).toEqual([403, ""]);
    const right = await signIn({ password: "long enough", to: "/shops/larkmoss-nursery/bench" });
    expect([right.status, right.headers.get("location")]).toEqual([302, "/shops/larkmoss-nursery/bench"]);
    expect(cookieOf(right)).toMatch(/HttpOnly/);
    expect(cookieOf(right)).toMatch(/SameSite=Lax/);
    expect(cookieOf(right)).not.toMatch(/Secure/);
    expect(cookieOf(await signIn({ password: "long enough" }, { "x-forwarded-proto": "https" }))).toMatch(/Secure/);
    const [cookie = ""] = cookieOf(right).split(";");
    expect((await get("/api/shops", { cookie })).status).toBe(200);
    expect((await get("/draft/larkmoss-nursery/", { cookie })).status).toBe(200);
    expect(await (await get("/api/tool", { cookie })).json()).toEqual({ signedIn: true });
    expect((await get("/api/shops", { cookie: "zt-session=made-up" })).status).toBe(401);
    const out = await app.request("http://tool.example/sign-out", { method: "POST", headers: { ...own, cookie } });
    expect(out.status).toBe(302);
    expect((await get("/api/shops", { cookie })).status).toBe(401);
  });

  it("leads to no other site after signing in", async () => {
    for (const to of ["//evil.example/", "https://evil.example/", "/\\evil.example", "javascript:alert(1)"]) {
      const { headers } = await signIn({ password: "long enough", to });
      expect(headers.get("location")).toBe("/");
      expect(await (await get(`/sign-in?to=${encodeURIComponent(to)}`)).text()).not.toContain("evil");
    }
  });

  it("shows shoppers what is published, and nothing of the draft", async () => {
    for (const path of [
      "/shop/larkmoss-nursery/",
      "/edition/larkmoss-nursery/1/",
      "/storefront/style.css",
      "/demo/pictures/LM001.svg",
      "/api/shops/larkmoss-nursery/data?edition=1",
      "/api/shops/larkmoss-nursery/suggest?edition=1&q=rose",
    ])
      expect([path, (await get(path)).status]).toEqual([path, 200]);
    for (const path of [
      "/api/shops",
      "/api/shops/larkmoss-nursery/data",
      "/api/shops/larkmoss-nursery/source",
      "/api/shops/larkmoss-nursery/documents/panel/climber-finder",
      "/api/shops/larkmoss-nursery/stand?of=draft",
      "/api/shops/larkmoss-nursery/editions",
    ])
      expect([path, (await get(path)).status]).toEqual([path, 401]);
    for (const path of ["/", "/draft/larkmoss-nursery/", "/shops/larkmoss-nursery/bench", "/shop/../api/shops"])
      expect([path, (await get(path)).status]).toEqual([path, path.endsWith("api/shops") ? 401 : 302]);
  });

  it("shows a preview and its notes to who knows its key, and nothing else", async () => {
    const cookie = cookieOf(await signIn({ password: "long enough" }));
    const send = (path: string, body: unknown, headers: Record<string, string> = {}, method = "POST") =>
      app.request(`http://tool.example${path}`, {
        method,
        headers: { ...own, "content-type": "application/json", ...headers },
        body: JSON.stringify(body),
      });
    expect((await send("/api/shops/larkmoss-nursery/previews", {})).status).toBe(401);
    const { key, address } = await (await send("/api/shops/larkmoss-nursery/previews", {}, { cookie })).json();
    expect(Buffer.from(key, "base64url")).toHaveLength(15);
    const page = await get(address);
    expect(page.status).toBe(200);
    // The page asks for nothing that it may not have.
    const asked = [...(await page.text()).matchAll(/"(?:data|suggest)":"([^"]+)"/g)].map(([, path]) => path ?? "");
    expect(asked).toHaveLength(2);
    for (const path of asked) expect([path, (await get(path)).status]).toEqual([path, 200]);
    const note = { name: "Ines", text: "Larger", place: { page: "/", words: "", x: 0.5, y: 0.25 } };
    expect((await send(`/preview-notes/${key}`, note)).status).toBe(201);
    expect(await (await get(`/preview-notes/${key}`)).json()).toMatchObject([note]);
    for (const bad of [{ ...note, name: " " }, { ...note, text: "" }, { ...note, more: 1 }, { ...note, place: {} }, 7])
      expect([bad, (await send(`/preview-notes/${key}`, bad)).status]).toEqual([bad, 400]);
    // Other sites can't pin notes, and strangers can't answer them or list them all.
    expect((await send(`/preview-notes/${key}`, note, { origin: "http://evil.example" })).status).toBe(403);
    expect((await send("/api/shops/larkmoss-nursery/notes/1", { done: true }, {}, "PUT")).status).toBe(401);
    expect((await get("/api/shops/larkmoss-nursery/previews")).status).toBe(401);
    expect((await get(`/api/shops/larkmoss-nursery/source?preview=${key}`)).status).toBe(401);
    for (const wrong of ["x", `${key}x`, key.toLowerCase(), "1", "draft"]) {
      expect([wrong, (await get(`/preview/${wrong}/`)).status]).toEqual([wrong, 404]);
      const data = await get(`/api/shops/larkmoss-nursery/data?preview=${wrong}`);
      expect([wrong, data.status]).toEqual([wrong, 404]);
    }
    await send(`/api/shops/larkmoss-nursery/previews/${key}`, { ended: true }, { cookie }, "PUT");
    for (const path of [address, `/preview-notes/${key}`, `/api/shops/larkmoss-nursery/data?preview=${key}`])
      expect([path, (await get(path)).status]).toEqual([path, 410]);
  });

  it("answers questions about the draft to nobody else, whatever a designer has asked before", async () => {
    const ask = (query: string, headers: Record<string, string> = {}) =>
      app.request(`http://tool.example/api/shops/larkmoss-nursery/ask${query}`, {
        method: "POST",
        headers: { ...own, "content-type": "application/json", ...headers },
        body: JSON.stringify({
          within: [],
          facets: [],
          selection: { text: "", choices: {} },
          sort: "",
          from: 0,
          size: 1,
          has: [],
        }),
      });
    const cookie = cookieOf(await signIn({ password: "long enough" }));
    expect((await ask("", { cookie })).status).toBe(200);
    const words = ["undefined", "null", "", "draft", "0", "-1", "1.0", "01", "1%20", "9999999999", "1&edition=draft"];
    for (const word of words) {
      const { status } = await ask(`?edition=${word}`);
      expect([word, status]).toEqual([word, word === "1&edition=draft" ? 200 : 401]);
      expect([word, (await ask(`?edition=${word}`, { cookie })).status]).toEqual([
        word,
        word.startsWith("1&") ? 200 : 404,
      ]);
    }
    expect((await ask("?edition=1")).status).toBe(200);
    // The same by an address.
    const byAddress = (query: string) => get(`/api/shops/larkmoss-nursery/ask${query}q=%7B%7D`);
    expect([(await byAddress("?")).status, (await byAddress("?edition=1&")).status]).toEqual([401, 400]);
  });

  it("checks two passwords at once and one from each address, and sends the others away at once", async () => {
    const tries = await Promise.all(Array.from({ length: 24 }, () => signIn({ password: "not this one" })));
    expect(tries.map(({ status }) => status).sort()).toEqual([403, ...Array(23).fill(429)]);
    expect(tries.find(({ status }) => status === 429)?.headers.get("retry-after")).toBe("5");
    const checks = new PasswordQueue();
    const under = [checks.within(() => new Promise(() => {})), checks.within(() => new Promise(() => {}))];
    expect(under).toHaveLength(2);
    expect(await checks.within(async () => true)).toBeUndefined();
    expect((await signIn({ password: "x".repeat(5000) })).status).toBe(413);
  });

  it("believes X-Forwarded-For only behind a proxy", async () => {
    const wrong = (app: Hono, from: string) =>
      app.request("http://tool.example/sign-in", {
        method: "POST",
        headers: { ...own, "content-type": "application/x-www-form-urlencoded", "x-forwarded-for": from },
        body: "password=not+this+one",
      });
    const places = ["10.0.0.1", "10.0.0.2"];
    const statuses = async (app: Hono) =>
      (await Promise.all(places.map((from) => wrong(app, from)))).map(({ status }) => status);
    expect(await statuses(gate(password).routes)).toEqual([403, 429]);
    expect(await statuses(gate(password, { behindProxy: true }).routes)).toEqual([403, 403]);
  });

  it("answers to its own names only, and not to what a foreign site calls it", async () => {
    for (const host of ["evil.example", "tool.example.evil.example", "192.168.1.20"])
      expect((await get("/shop/larkmoss-nursery/", { host })).status).toBe(403);
    expect((await get("/shop/larkmoss-nursery/", { host: "TOOL.example:4310" })).status).toBe(200);
  });
});

describe("a password", () => {
  it("is kept as a salted hash, is the same however its letters are composed, and a damaged file lets nobody in", async () => {
    const one = new Password(join(folder, "one"));
    const other = new Password(join(folder, "other"));
    await one.set("Grüße aus Köln");
    await other.set("Grüße aus Köln");
    const kept = readFileSync(one.file, "utf8");
    expect(kept).not.toContain("Köln");
    expect(kept).not.toBe(readFileSync(other.file, "utf8"));
    expect(await one.is("Grüße aus Köln".normalize("NFD"))).toBe(true);
    expect(await one.is("Grusse aus Koln")).toBe(false);
    expect(await one.is("x".repeat(5000))).toBe(false);
    writeFileSync(one.file, "{}");
    await expect(one.is("Grüße aus Köln")).rejects.toThrow();
  });

  it("waits longer after each wrong try, from each place by itself, and no longer than eight seconds", () => {
    const tries = new LoginDelays();
    const pauses = Array.from({ length: 8 }, () => {
      tries.wrong("a");
      return tries.pauseFor("a");
    });
    expect(pauses).toEqual([250, 500, 1000, 2000, 4000, 8000, 8000, 8000]);
    expect(tries.pauseFor("b")).toBe(0);
    tries.right("a");
    expect(tries.pauseFor("a")).toBe(0);
  });

  it("opens sessions that cannot be guessed, and closes them", () => {
    const sessions = new Sessions();
    const token = sessions.begin();
    expect(Buffer.from(token, "base64url")).toHaveLength(32);
    expect([sessions.has(token), sessions.has(`${token}x`), sessions.has(undefined)]).toEqual([true, false, false]);
    sessions.end(token);
    expect(sessions.has(token)).toBe(false);
  });
});
