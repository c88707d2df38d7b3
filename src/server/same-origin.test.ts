import { Hono } from "hono";
import { expect, it } from "vitest";
import { sameOrigin } from "./same-origin.ts";

const app = new Hono();
app.use(sameOrigin);
app.all("*", (c) => c.text("changed"));

const types = [
  undefined,
  "application/json",
  "text/plain",
  "application/csp-report",
  "multipart/form-data; boundary=x",
];
const sent = async (method: string, headers: Record<string, string>) => {
  const statuses = new Set<number>();
  for (const type of types) {
    const all = { host: "tool.example:4310", ...headers, ...(type ? { "content-type": type } : {}) };
    const body = method === "GET" ? {} : { body: "x" };
    statuses.add((await app.request("http://tool.example:4310/", { method, headers: all, ...body })).status);
  }
  return [...statuses];
};

// Source: Fetch Metadata Request Headers, values of Sec-Fetch-Site; Fetch standard, “null” as an origin.
it.each<[words: string, headers: Record<string, string>, status: number]>([
  ["another site", { origin: "https://evil.example", "sec-fetch-site": "cross-site" }, 403],
  ["another site, its browser says nothing of fetching", { origin: "https://evil.example" }, 403],
  ["a sibling of this name", { origin: "http://other.tool.example:4310", "sec-fetch-site": "same-site" }, 403],
  ["another port of this machine", { origin: "http://tool.example:9" }, 403],
  ["a sandboxed frame", { origin: "null", "sec-fetch-site": "cross-site" }, 403],
  ["a sandboxed frame, old browser", { origin: "null" }, 403],
  ["nowhere that it says", {}, 403],
  ["an address bar", { "sec-fetch-site": "none" }, 403],
  ["this very site", { origin: "http://tool.example:4310", "sec-fetch-site": "same-origin" }, 200],
  ["this site by HTTPS of a proxy", { origin: "https://tool.example:4310" }, 200],
  ["a program that says where it is", { origin: "http://tool.example:4310" }, 200],
])("what changes something may come from %s or not: whatever its body is", async (_, headers, status) => {
  for (const method of ["POST", "PUT", "DELETE", "PATCH"]) expect(await sent(method, headers)).toEqual([status]);
  expect(await sent("GET", headers)).toEqual([200]);
});
