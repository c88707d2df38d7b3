import fc from "fast-check";
import { encodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";

/** Asks a server, with the headers of its own page. */
export type Ask = (path: string, init?: RequestInit) => Promise<Response>;

/** Texts that have broken programs before. Common practice, no source. */
export const oddText = fc.constantFrom(
  ...["", " ", "\0", "a\0b", "constructor", "__proto__", "toString", "hasOwnProperty", "NaN", "1e400", "-0"],
  ...["../../etc/passwd", "..\\..\\x", "%00", "%0d%0aX: y", "\r\nX: y", "<script>alert(1)</script>", "javascript:1"],
  ...["\u202e", "x".repeat(70_000), "🌱".repeat(300), "=1+1", "0001-01-01", "99999-12-31", "/", "//", "."],
);
const oddNumber = fc.constantFrom(0, -1, 0.5, 5e-324, 1e16, 1e16 + 2, 1e308, -1e308, 2 ** 53, 2 ** 31, 1e-9, 1e9);
/** A list in a list in a list. */
export const deep = (levels: number) => `${"[".repeat(levels)}${"]".repeat(levels)}`;
const odd: fc.Arbitrary<unknown> = fc.oneof(
  oddText,
  oddNumber,
  fc.constantFrom<unknown>(null, true, [], {}, [[]], { "@type": {} }, JSON.parse('{"__proto__":{"a":1}}')),
  fc.constant(JSON.parse(deep(500))),
  fc.constant(Array.from({ length: 5000 }, (_, i) => `x${i}`)),
);

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;

/** The value with what stands at one place put in another's stead, left out, or doubled. */
export function mutated(value: unknown, steps: readonly number[], put: unknown, how: number): unknown {
  if (!isObject(value) || steps.length === 0) return put;
  const keys = Object.keys(value);
  const [step = 0, ...rest] = steps;
  const key = keys[step % Math.max(1, keys.length)];
  if (key === undefined) return put;
  if (Array.isArray(value)) {
    const list = value.map((each, i) => (String(i) === key ? mutated(each, rest, put, how) : each));
    return rest.length === 0 && how === 1 ? [...list, ...list] : list;
  }
  const entries = Object.entries(value).map(([k, each]) => [k, k === key ? mutated(each, rest, put, how) : each]);
  if (rest.length > 0 || how === 0) return Object.fromEntries(entries);
  return how === 1
    ? Object.fromEntries(entries.filter(([k]) => k !== key))
    : { ...Object.fromEntries(entries), [typeof put === "string" ? put : "more"]: put };
}
/** A place in a value by steps, what is put there, and how. */
export const mutation = fc.tuple(fc.array(fc.nat(40), { maxLength: 6 }), odd, fc.nat(2));

/** A question that fits the demo shop’s catalogue. */
export const question = {
  within: [[{ field: "price", min: 1, max: 20 }]],
  facets: [{ field: "light", mode: "any" }],
  selection: { choices: { light: { options: ["shade"] } }, text: "" },
  sort: "price,-title",
  from: 0,
  size: 24,
  has: [],
};

/** A request, and what it is about, for who reads of it. */
export interface OddRequest {
  path: string;
  init: RequestInit;
  what: string;
}

const json = (method: string, path: string, body: string): OddRequest => ({
  path,
  init: { method, body, headers: { "content-type": "application/json" } },
  what: `${method} ${path} ${body.slice(0, 400)}`,
});

/** Documents and questions of a shop with one odd place each, over every route that takes JSON. */
export async function oddDocuments(ask: Ask, shop: string): Promise<fc.Arbitrary<OddRequest>[]> {
  const base = `/api/shops/${shop}`;
  const read = async (path: string): Promise<unknown> => (await ask(path)).json();
  const panels = (await read(`${base}/documents/panel`)) as { slug: string }[];
  const own = `documents/panel/${panels[0]?.slug}`;
  const routes: [method: string, path: string, body: unknown][] = [
    ["POST", `${base}/ask`, question],
    ["PUT", base, { version: 1, name: "Hostile", currency: "EUR", language: "en" }],
    ["POST", `${base}/editions`, { note: "One" }],
    ["PUT", `${base}/documents/panel/order`, panels.map(({ slug }) => slug)],
    ["POST", `${base}/documents/panel`, await read(`${base}/${own}`)],
  ];
  for (const path of [
    own,
    "documents/mends",
    "documents/swatches",
    "documents/look",
    "documents/pages",
    "documents/shop",
  ])
    routes.push(["PUT", `${base}/${path}`, await read(`${base}/${path}`)]);
  return routes.map(([method, path, body]) =>
    mutation.map(([steps, put, how]) => json(method, path, JSON.stringify(mutated(body, steps, put, how)) ?? "")),
  );
}

const paths = [
  "",
  "collections/x",
  "products/x",
  "search",
  "data",
  "swatches",
  "source",
  "suggest",
  "folder.zip",
  "stand",
];
const names = ["q", "price.min", "price.max", "light", "sort", "page", "panel", "lang", "edition", "of", "from", "to"];

/** Odd addresses of pages and of the interface. */
export const oddAddresses = (shop: string): fc.Arbitrary<OddRequest> =>
  fc
    .tuple(
      fc.constantFrom(`/draft/${shop}`, `/shop/${shop}`, `/api/shops/${shop}`, `/edition/${shop}/1`),
      fc.oneof(fc.constantFrom(...paths), oddText),
      fc.array(fc.tuple(fc.constantFrom(...names), oddText), { maxLength: 4 }),
    )
    .map(([root, path, query]) => {
      const address = `${root}/${encodeURI(path)}?${new URLSearchParams(query)}`;
      return { path: address, init: {}, what: address.slice(0, 400) };
    });

/** Files of every format with some bytes changed or cut off, to every route that takes one. @param csv a catalogue */
export async function oddFiles(ask: Ask, shop: string, csv: string): Promise<fc.Arbitrary<OddRequest>> {
  const packed = encodeCatalogue(readCatalogue(new TextEncoder().encode(csv)).catalogue);
  const zip = new Uint8Array(await (await ask(`/api/shops/${shop}/folder.zip`)).arrayBuffer());
  const svg = '<svg xmlns="http://www.w3.org/2000/svg"><g id="a"><use href="#a"/></g><path fill="u\\72l(//x)"/></svg>';
  const files = [packed, zip, new TextEncoder().encode(csv), new TextEncoder().encode(svg)];
  const routes = ["/api/shops", `/api/shops/${shop}/catalogue`, "/api/folders", `/api/shops/${shop}/pictures`];
  const change = fc.record({ at: fc.nat(), byte: fc.nat(255), cut: fc.boolean() });
  return fc
    .tuple(fc.constantFrom(...routes), fc.constantFrom(...files), fc.array(change, { maxLength: 3 }), oddText)
    .map(([path, file, changes, name]) => {
      let bytes = new Uint8Array(file);
      for (const { at, byte, cut } of changes) {
        bytes[at % bytes.length] = byte;
        if (cut) bytes = bytes.slice(0, 1 + (at % bytes.length));
      }
      const form = new FormData();
      form.set("file", new File([bytes], name));
      form.set("name", "Files");
      form.set("currency", "EUR");
      form.set("hash", "a".repeat(64));
      return { path, init: { method: "POST", body: form }, what: `${path} ${JSON.stringify(changes)}` };
    });
}
