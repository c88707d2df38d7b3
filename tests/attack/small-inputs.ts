import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { zipSync } from "fflate";
import { startServer } from "../server.ts";
import type { Attack } from "./attack.ts";
import { deep, question } from "./odd-input.ts";

const shop = "/api/shops/larkmoss-nursery";
const size = 1_000_000;
const maxMs = 2000;
const maxMegabytes = 300;

interface Sent {
  name: string;
  path: string;
  init: RequestInit;
}

const json = (name: string, path: string, method: string, body: string): Sent => ({
  name,
  path,
  init: { method, body, headers: { "content-type": "application/json" } },
});
function file(name: string, path: string, content: string | Uint8Array, fileName = "shop.csv"): Sent {
  const form = new FormData();
  form.set("name", name);
  form.set("currency", "EUR");
  form.set("file", new File([content as Uint8Array<ArrayBuffer>], fileName));
  return { name, path, init: { method: "POST", body: form } };
}
const fill = (part: string): string => part.repeat(Math.floor(size / part.length));
const lines = (line: (n: number) => string, length: number): string =>
  Array.from({ length: Math.floor(size / length) }, (_, n) => line(n)).join("\n");

/** Inputs of at most a megabyte that would make large work of small text. */
function smallInputs(): Sent[] {
  const many = (count: number, one: (n: number) => unknown) => Array.from({ length: count }, (_, n) => one(n));
  const ask = (name: string, changed: object) =>
    json(name, `${shop}/ask`, "POST", JSON.stringify({ ...question, ...changed }));
  const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg">${inside}</svg>`;
  const picture = (name: string, text: string) => file(name, `${shop}/pictures`, text, "a.svg");
  const csv = (name: string, text: string) => file(name, "/api/shops", text);
  return [
    json("12 kB of brackets", `${shop}/ask`, "POST", deep(6000)),
    json("a question of brackets", `${shop}/ask`, "POST", `{"within":${deep(60_000)}}`),
    json("a document of brackets", `${shop}/documents/pages`, "PUT", deep(400_000)),
    json(
      "a document of objects",
      `${shop}/documents/pages`,
      "PUT",
      `${'{"a":'.repeat(100_000)}1${"}".repeat(100_000)}`,
    ),
    ask("many conditions", { within: many(190, () => many(30, () => ({ field: "price", min: 1 }))) }),
    ask("many searches", { within: many(190, () => many(20, (n) => ({ words: `rose ${n} climb` }))) }),
    ask("many facets", { facets: many(300, () => ({ field: "light", mode: "any" })) }),
    ask("many ranges", {
      facets: many(300, (n) => ({ field: "price", mode: "range", ranges: { limits: many(50, (m) => m + n) } })),
    }),
    ask("long words", { selection: { choices: {}, text: fill("a b ").slice(0, 1000) } }),
    ask("an unknown kind of everything", { within: many(200, () => many(200, () => 5)) }),
    csv("many columns", `${fill("a,")}\n1`),
    csv("many named columns", `${Array.from({ length: 120_000 }, (_, n) => `c${n}`).join(",")}\n1`),
    csv("one long heading", `product_id,${fill("x")}\n1,2`),
    csv("one long cell", `product_id,title\n1,${fill("x")}`),
    csv("a cell of spaces", `product_id,added\n1,${fill(" ")}x`),
    csv("cells of spaces", `product_id,added\n${lines((n) => `${n},1${" ".repeat(3000)}2`, 3000)}`),
    csv("numbers of groups", `product_id,weight\n${lines((n) => `${n},"${"1,111".repeat(600)}x"`, 3000)}`),
    csv("one deep category", `product_id,category\n1,${fill("a > ")}`),
    csv("deep categories", `product_id,category\n${lines((n) => `${n},${`${n} > `.repeat(400)}b`, 2500)}`),
    csv("many values in a cell", `product_id,tags\n1,${Array.from({ length: 180_000 }, (_, n) => n).join("|")}`),
    csv("rows of nothing", `a,b\n${fill(",\n")}`),
    csv("rows too short", `a,b,c\n${fill("1\n")}`),
    csv("one quote", `a,b\n"${fill("x\n")}`),
    csv("all different", `product_id,a,b,c\n${lines((n) => `${n},a${n},b${n},c${n}`, 25)}`),
    csv("the same title", `title,price\n${fill("A,1\n")}`),
    csv("JSON of different keys", JSON.stringify(many(60_000, (n) => ({ [`k${n}`]: n })))),
    csv("JSON of brackets", deep(500_000)),
    csv("JSON of objects", JSON.stringify(many(20_000, (n) => ({ id: n, a: { b: { c: [n] } } })))),
    csv(
      "JSON-LD of groups",
      JSON.stringify({
        "@type": "ProductGroup",
        hasVariant: many(15_000, (n) => ({ "@type": "Product", sku: `${n}` })),
      }),
    ),
    picture("an SVG of letters", svg(`<path d="${fill("M")}"/>`).slice(0, size)),
    picture("an SVG of one value", svg(`<rect fill="${fill("a").slice(0, 900_000)}("/>`)),
    picture("an SVG of brackets", svg(`<rect fill="${fill("a(").slice(0, 900_000)}"/>`)),
    picture("an SVG of groups", svg("<g>".repeat(200_000))),
    picture("an SVG of uses", svg(`<g id="a"><rect/></g>${'<use href="#a"/>'.repeat(60_000)}`)),
    picture("an SVG of attributes", svg(`<rect ${Array.from({ length: 60_000 }, (_, n) => `a${n}="b"`).join(" ")}/>`)),
    picture("an SVG that is not closed", `<svg ${fill("<")}`),
    file(
      "a zip of many files",
      "/api/folders",
      zipSync(Object.fromEntries(many(6000, (n) => [`pictures/${n}`, new Uint8Array(1)]) as [string, Uint8Array][])),
      "a.zip",
    ),
    file(
      "a zip bomb",
      "/api/folders",
      zipSync({ "catalogue.csv": new Uint8Array(900_000_000) }, { level: 9 }),
      "a.zip",
    ),
    file(
      "a panel of many rows",
      "/api/folders",
      zipSync({ "shop.json": new TextEncoder().encode(fill(" ")) }),
      "a.zip",
    ),
    json("a long name", "/api/shops/larkmoss-nursery/documents/panel", "POST", JSON.stringify({ name: fill("x") })),
    json(
      "extra CSS of brackets",
      `${shop}/documents/look`,
      "POST",
      JSON.stringify({
        document: { format: 1, name: "x", values: {}, dark: {}, styles: [], css: "a{".repeat(40_000) },
      }),
    ),
    json(
      "extra CSS of nested lists",
      `${shop}/documents/look`,
      "POST",
      JSON.stringify({
        document: {
          format: 1,
          name: "x",
          values: {},
          dark: {},
          styles: [],
          css: `${".a,.b,.c{".repeat(29)}top:0${"}".repeat(29)}`,
        },
      }),
    ),
    { name: "a long address", path: `/draft/larkmoss-nursery/?${"light=a&".repeat(1500)}`, init: {} },
    { name: "a long search", path: `${shop}/suggest?q=${"a%20".repeat(3000)}`, init: {} },
    { name: "many fields of data", path: `${shop}/data?only=${"light,".repeat(2000)}`, init: {} },
  ];
}

/** Memory of a process now, and at most since the last time; in MB. Linux only. */
function memoryOf(pid: number): { now: number; peak: number } {
  const status = readFileSync(`/proc/${pid}/status`, "utf8");
  const of = (name: string) => Number(new RegExp(`${name}:\\s+(\\d+) kB`).exec(status)?.[1] ?? 0) / 1024;
  const read = { now: of("VmRSS"), peak: of("VmHWM") };
  writeFileSync(`/proc/${pid}/clear_refs`, "5");
  return read;
}

/** A megabyte of input, each a family of its own: answered in at most 2 s, and with at most 300 MB more. */
export const smallInputsAttack: Attack = {
  name: "small inputs with large work",
  async run() {
    const folder = mkdtempSync(join(tmpdir(), "trellis-small-"));
    const server = await startServer(4388, join(folder, "shop.db"));
    const failures: string[] = [];
    let [slowest, most, tries] = [{ ms: 0, name: "" }, { mb: 0, name: "" }, 0];
    try {
      const pid = server.child.pid ?? 0;
      // The first request loads threads, code and catalogues as well.
      for (const { path, init } of [
        json("", `${shop}/ask`, "POST", JSON.stringify(question)),
        file("warm", "/api/shops", readFileSync("demo/nursery.csv", "utf8")),
        { path: "/draft/larkmoss-nursery/", init: {} },
      ])
        await (
          await fetch(server.origin + path, { ...init, headers: { ...init.headers, origin: server.origin } })
        ).text();
      for (const { name, path, init } of smallInputs()) {
        tries++;
        const { now: before } = memoryOf(pid);
        const start = performance.now();
        const answer = await fetch(server.origin + path, {
          ...init,
          headers: { ...init.headers, origin: server.origin },
        }).catch((error: Error) => new Response(error.message, { status: 599 }));
        const text = await answer.text();
        const ms = performance.now() - start;
        const mb = memoryOf(pid).peak - before;
        if (answer.status >= 500) failures.push(`${name}: answered ${answer.status} ${text.slice(0, 120)}`);
        if (answer.status >= 400 && text.length > 2000) failures.push(`${name}: an error of ${text.length} letters`);
        if (ms > maxMs) failures.push(`${name}: ${Math.round(ms)} ms`);
        if (mb > maxMegabytes) failures.push(`${name}: ${Math.round(mb)} MB`);
        if (ms > slowest.ms) slowest = { ms, name };
        if (mb > most.mb) most = { mb, name };
      }
    } finally {
      await server.kill();
      rmSync(folder, { recursive: true, force: true });
    }
    return {
      tries,
      failures,
      measured: `slowest ${Math.round(slowest.ms)} ms (${slowest.name}), most ${Math.round(most.mb)} MB (${most.name})`,
    };
  },
};
