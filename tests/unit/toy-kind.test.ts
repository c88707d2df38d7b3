import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Hono } from "hono";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { number, string } from "yup";
import { readFiles } from "../../src/cli/folder.ts";
import { runTrellis } from "../../src/cli/run.ts";
import { patched, perform } from "../../src/core/document/edit.ts";
import type { DocumentKind } from "../../src/core/document/kind.ts";
import type { Step } from "../../src/core/document/patch.ts";
import { exact } from "../../src/core/document/schema.ts";
import { readFolder } from "../../src/core/shop/archive/read-folder.ts";
import { folderSchema } from "../../src/core/shop/archive/schemas.ts";
import { unzipFolder } from "../../src/core/shop/archive/zip.ts";
import { kinds } from "../../src/core/shop/kinds.ts";
import { createApp } from "../../src/server/app.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";

// A kind of document that only this test knows: a definition, and a line in the list of kinds. All that a shop's
// documents have must be there for it.
interface Label {
  format: 1;
  name: string;
  words: string;
}

const label: DocumentKind<Label> = {
  name: "label",
  what: "label",
  title: "A label",
  many: true,
  member: "labels",
  heading: "Label",
  format: 1,
  schema: exact({
    format: number<1>().strict().oneOf([1]).required(),
    name: string().strict().required(),
    words: string().strict().defined(),
  }),
  migrations: {},
  fresh: (name) => ({ format: 1, name, words: "" }),
  touches: [],
  *differences(before, after) {
    if (before.words !== after.words) yield `says “${after.words}”, before: “${before.words}”`;
  },
};

const here = mkdtempSync(join(tmpdir(), "trellis-toy-"));
const file = join(here, "shops.db");
const shop = "larkmoss-nursery";
let orm: Awaited<ReturnType<typeof openDatabase>>;
let app: Hono;

const ask = async (path: string, init: RequestInit = {}) => {
  const answer = await app.request(`http://127.0.0.1/api${path}`, {
    ...init,
    headers: { host: "127.0.0.1", origin: "http://127.0.0.1", ...init.headers },
  });
  expect([path, answer.status, answer.ok ? "" : await answer.clone().text()]).toEqual([path, answer.status, ""]);
  return answer;
};
const send = async (method: string, path: string, body: unknown) =>
  (await ask(path, { method, body: JSON.stringify(body), headers: { "content-type": "application/json" } })).json();
const opened = async (of = shop) => (await (await ask(`/shops/${of}/documents/label/sale`)).json()) as Saved;
interface Saved {
  version: number;
  document: Label;
  history: { steps: Step[]; done: number };
}
const started = async () => {
  orm = await openDatabase(file);
  app = createApp({ orm, root: process.cwd() });
};

beforeAll(async () => {
  Object.assign(kinds, { label });
  orm = await openDatabase(file);
  await seedDemo(orm, ".");
  app = createApp({ orm, root: process.cwd() });
});
afterAll(async () => {
  Reflect.deleteProperty(kinds, "label");
  await closeDatabase(orm);
  rmSync(here, { recursive: true, force: true });
});

describe("a kind of document by its definition alone", () => {
  it("is made, saved with its steps, and undone", async () => {
    await send("POST", `/shops/${shop}/documents/label`, { name: "Sale" });
    const { document, version } = await opened();
    const done = perform(document, {
      change: (draft: Label) => {
        draft.words = "Reduced";
      },
    });
    if (!done) throw new TypeError("It changes something.");
    const { patches, inverse } = done;
    const steps = [{ n: 1, at: 1, words: "Say it", patches, inverse }];
    await send("PUT", `/shops/${shop}/documents/label/sale`, {
      version,
      document: done.document,
      history: { from: 1, steps, done: 1 },
    });
    const saved = await opened();
    expect([saved.document.words, saved.history.steps.map(({ words }) => words)]).toEqual(["Reduced", ["Say it"]]);
    const turn = async (which: "inverse" | "patches", doneThen: number) => {
      const now = await opened();
      const next = patched(now.document, now.history.steps[0]?.[which] ?? []);
      const history = { from: 2, steps: [], done: doneThen };
      await send("PUT", `/shops/${shop}/documents/label/sale`, { version: now.version, document: next, history });
      const then = await opened();
      return [then.document.words, then.history.done];
    };
    expect(await turn("inverse", 0)).toEqual(["", 0]);
    expect(await turn("patches", 1)).toEqual(["Reduced", 1]);
  });

  it("is told in words, published, and restored", async () => {
    const told = async () => (await ask(`/shops/${shop}/differences?from=1&to=draft`)).json();
    expect(JSON.stringify(await told())).toContain("Label “Sale” was added");
    await send("POST", `/shops/${shop}/editions`, { note: "" });
    const { document, version } = await opened();
    await send("PUT", `/shops/${shop}/documents/label/sale`, { version, document: { ...document, words: "Gone" } });
    expect(JSON.stringify(await (await ask(`/shops/${shop}/differences?from=2&to=draft`)).json())).toContain(
      "says “Gone”, before: “Reduced”",
    );
    await send("POST", `/shops/${shop}/editions/2/restore`, {});
    expect((await opened()).document.words).toBe("Reduced");
  });

  it("leaves as a file with its schema, in a ZIP and by the command line, and comes in again", async () => {
    const zip = new Uint8Array(await (await ask(`/shops/${shop}/folder.zip`)).arrayBuffer());
    const files = unzipFolder(zip);
    expect(JSON.parse(new TextDecoder().decode(files.get("labels/sale.json")))).toMatchObject({ words: "Reduced" });
    expect(folderSchema("label")).toMatchObject({ title: "A label", properties: { words: { type: "string" } } });
    const form = new FormData();
    form.append("file", new Blob([zip]), "shop.zip");
    const made = (await (await ask("/folders", { method: "POST", body: form })).json()) as { slug: string };
    expect((await opened(made.slug)).document.words).toBe("Reduced");
    await closeDatabase(orm);
    const folder = join(here, "folder");
    expect((await runTrellis(["export", "--shop", shop, "--out", folder, "--data", file])).err).toBe("");
    expect(readFolder(readFiles(folder))).toMatchObject({ labels: [{ slug: "sale", document: { words: "Reduced" } }] });
    expect((await runTrellis(["schema", "label"])).out).toContain("A label");
    await started();
  });

  it("is in a backup", async () => {
    await closeDatabase(orm);
    const backup = join(here, "backup.db");
    expect((await runTrellis(["backup", "--out", backup, "--data", file])).err).toBe("");
    await started();
    const { document, version } = await opened();
    await send("PUT", `/shops/${shop}/documents/label/sale`, { version, document: { ...document, words: "Later" } });
    await closeDatabase(orm);
    expect((await runTrellis(["restore", "--from", backup, "--data", file])).err).toBe("");
    await started();
    expect((await opened()).document.words).toBe("Reduced");
  });
});
