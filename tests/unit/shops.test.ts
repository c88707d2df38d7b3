import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { decodeCatalogue, encodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { firstValue } from "../../src/core/catalogue/catalogue.ts";
import { mendsKind } from "../../src/core/catalogue/mend/kind.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { changeBetween, edited, patched, perform } from "../../src/core/document/edit.ts";
import { checkDocument } from "../../src/core/document/kind.ts";
import { renamePanel } from "../../src/core/panel/edit.ts";
import { panelKind } from "../../src/core/panel/kind.ts";
import { emptyPanel, facetRows } from "../../src/core/panel/panel.ts";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { shopKind } from "../../src/core/shop/kind.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";
import {
  createDocument,
  listDocuments,
  loadDocument,
  readDocument,
  saveDocument,
} from "../../src/server/store/documents.ts";
import { replaceCatalogue } from "../../src/server/store/imports.ts";
import { createShop, findShop, importOf, listShops, loadBytes } from "../../src/server/store/shops.ts";
import { newShopOf } from "../new-shop.ts";

let orm: Awaited<ReturnType<typeof openDatabase>>;
beforeAll(async () => {
  orm = await openDatabase(":memory:");
});
afterAll(() => orm.close(true));

const em = () => orm.em.fork();
const read = (text: string, known?: Parameters<typeof readCatalogue>[1]) =>
  readCatalogue(new TextEncoder().encode(text), known);
const loadCatalogue = async (...of: Parameters<typeof loadBytes>) => decodeCatalogue(await loadBytes(...of));
const small = "product_id,title,Size,stock\na,Ada,S,1\na,Ada,L,0\nb,Bea,M,2\n";
const create = (name: string) => createShop(em(), { name, currency: "EUR", ...newShopOf(read(small).catalogue) });
const shopAt = async (slug: string) => {
  const shop = await findShop(em(), slug);
  if (!shop) throw new Error(slug);
  return shop;
};

describe("stored shops", () => {
  it("come back as they were read, computed fields and first panel included", async () => {
    const { slug } = await create("Shop of small things");
    const shop = await shopAt(slug);
    expect(shop).toMatchObject({ slug: "shop-of-small-things", productCount: 2, variantCount: 3, currency: "EUR" });
    expect((await listDocuments(em(), shop, panelKind)).map(({ slug: panel, version }) => [panel, version])).toEqual([
      ["first-panel", 1],
    ]);
    const catalogue = await loadCatalogue(em(), shop);
    expect(catalogue).toEqual(read(small).catalogue);
    expect(firstValue(catalogue, "availability", 1)).toBe("out of stock");
  });

  it("of one name have addresses of their own", async () => {
    const made = [await create("Twins"), await create("Twins"), await create("twins")];
    expect(made.map(({ slug }) => slug)).toEqual(["twins", "twins-2", "twins-3"]);
    expect((await listShops(em())).map(({ slug }) => slug)).toEqual(
      expect.arrayContaining(["twins", "twins-2", "twins-3"]),
    );
  });

  it("take another catalogue in the place of theirs and keep their panels and keys", async () => {
    const { slug } = await create("Renewed");
    const before = await shopAt(slug);
    const next = read("product_id,title,SIZE,Wood\nb,Bea,XL,oak\nc,Cid,M,ash\n", { known: before.fields });
    await replaceCatalogue(em(), before, importOf(next.catalogue));
    const renewed = await shopAt(slug);
    expect([renewed.productCount, renewed.variantCount]).toEqual([2, 2]);
    expect(renewed.fields.map(({ key }) => key)).toEqual(["product-id", "title", "size", "wood"]);
    expect((await loadCatalogue(em(), renewed)).productIds).toEqual(["b", "c"]);
    expect(await listDocuments(em(), renewed, panelKind)).toHaveLength(1);
  });

  it("that cannot be written whole leave nothing behind", async () => {
    // Bytes that are missing are found out while the parts are written, when the shop's row stands already.
    const broken = { ...newShopOf(read(small).catalogue), bytes: undefined as never };
    await expect(createShop(em(), { name: "Half a shop", currency: "EUR", ...broken })).rejects.toThrow();
    expect(await findShop(em(), "half-a-shop")).toBeNull();
    const { slug } = await create("Stays");
    await expect(replaceCatalogue(em(), await shopAt(slug), broken)).rejects.toThrow();
    expect((await loadCatalogue(em(), await shopAt(slug))).productIds).toEqual(["a", "b"]);
  });

  it("keep mends over the version that is known, and over a newer catalogue", async () => {
    const { slug } = await create("Mended");
    const shop = await shopAt(slug);
    const mends = {
      format: 1 as const,
      mends: [{ id: "m1", kind: "values" as const, field: "size", from: ["s"], to: ["Small"] }],
    };
    expect(await saveDocument(em(), shop, mendsKind, undefined, { version: 0, document: mends })).toBe(2);
    expect(await saveDocument(em(), shop, mendsKind, undefined, { version: 0, document: mends })).toBeUndefined();
    await replaceCatalogue(em(), shop, importOf(read(small).catalogue));
    expect(await readDocument(em(), shop, mendsKind)).toEqual({ version: 2, document: mends });
    // The stored catalogue is the imported one.
    expect(firstValue(await loadCatalogue(em(), shop), "size", 0)).toBe("S");
  });

  it("of an older version of the tool come along with their catalogue", async () => {
    const orm = await openDatabase(":memory:", { upTo: "2026-11-24-shops" });
    const run = (text: string) => orm.em.getConnection().execute(text);
    const { catalogue } = read(small);
    const fields = catalogue.fields.filter(({ role }) => role !== "availability");
    await run(`insert into shop (slug, name, currency, fields, product_count, variant_count, created_at)
      values ('old', 'Old', 'EUR', '${JSON.stringify(fields)}', 2, 3, 0)`);
    await run(
      `insert into product (shop_id, position, ref, rows) values (1, 0, 'a', '[["a","Ada","S","1"],["a","Ada","L","0"]]')`,
    );
    await run(`insert into product (shop_id, position, ref, rows) values (1, 1, 'b', '[["b","Bea","M","2"]]')`);
    await orm.migrator.up();
    const shop = await findShop(orm.em.fork(), "old");
    if (!shop) throw new Error("The old shop is gone.");
    expect(decodeCatalogue(await loadBytes(orm.em.fork(), shop))).toEqual(decodeCatalogue(encodeCatalogue(catalogue)));
    expect((await readDocument(orm.em.fork(), shop, mendsKind))?.document.mends).toEqual([]);
    await orm.close(true);
  });
});

describe("documents of an older version of the tool", () => {
  it("come along: panels in the present format, and limits and languages for the whole shop", async () => {
    const old = await openDatabase(":memory:", { upTo: "2026-11-25-swatch-books" });
    const run = (text: string) => old.em.getConnection().execute(text);
    const facet = { kind: "facet", label: "", settings: {} };
    const panel = (name: string, languages: string[], wide: number) => ({
      format: 2,
      name,
      languages,
      limits: { medium: 600, wide },
      placement: { wide: "left", slim: "drawer" },
      rows: [
        { ...facet, id: "l", field: "light", display: { wide: "check-boxes" }, mode: "any", labels: { de: "Licht’s" } },
        {
          ...facet,
          id: "p",
          field: "price",
          display: { wide: "bands", slim: "slider" },
          mode: "range",
          settings: { banding: "typed", bandCount: 4, bandLimits: [10, 20] },
        },
      ],
    });
    const mends = { format: 1, mends: [{ id: "m1", kind: "values", field: "size", from: ["s"], to: ["Small"] }] };
    await run(`insert into shop (slug, name, currency, fields, product_count, variant_count, created_at, mends, mend_version)
      values ('old', 'Old', 'EUR', '[]', 0, 0, 0, '${JSON.stringify(mends)}', 7)`);
    for (const [position, one] of [panel("First", ["de"], 900), panel("Second", ["de", "fr"], 1100)].entries())
      await run(`insert into panel (shop_id, slug, position, version, document, updated_at)
        values (1, 'panel-${position}', ${position}, ${position + 3}, '${JSON.stringify(one)}', 0)`);
    await old.migrator.up();

    const shop = await findShop(old.em.fork(), "old");
    if (!shop) throw new Error("The old shop is gone.");
    const settings = await readDocument(old.em.fork(), shop, shopKind);
    expect(settings?.document).toEqual({ format: 1, limits: { medium: 600, wide: 900 }, languages: ["de", "fr"] });
    expect(await readDocument(old.em.fork(), shop, mendsKind)).toEqual({ version: 7, document: mends });
    expect((await listDocuments(old.em.fork(), shop, panelKind)).map(({ slug, version }) => [slug, version])).toEqual([
      ["panel-0", 3],
      ["panel-1", 4],
    ]);
    const first = await readDocument(old.em.fork(), shop, panelKind, "panel-0");
    expect(first?.document).toMatchObject({ format: 5, name: "First" });
    expect(first?.document).not.toHaveProperty("limits");
    expect(first?.document.rows[0]).toMatchObject({ labels: { de: "Licht’s" } });
    expect(first?.document.rows[1]).toMatchObject({
      display: { wide: "price-ranges", slim: "slider" },
      settings: { rangeBy: "typed", rangeCount: 4, rangeLimits: [10, 20] },
    });
    await old.close(true);
  });

  it("are rewritten with their steps when the file is opened, so that undo brings no older format back", async () => {
    const file = join(mkdtempSync(join(tmpdir(), "trellis-older-")), "shops.db");
    const first = await openDatabase(file);
    const { slug } = await createShop(first.em.fork(), {
      name: "Old",
      currency: "EUR",
      ...newShopOf(read(small).catalogue),
    });
    const facet = { kind: "facet", id: "l", field: "light", label: "", display: { wide: "check-boxes" }, mode: "any" };
    const states = [{ deadEnd: "keep" }, { deadEnd: "keep", least: 1 }, { deadEnd: "drop", least: 1 }].map(
      (settings) => ({
        ...emptyPanel("Finder"),
        format: 4,
        rows: [{ ...facet, settings }],
      }),
    );
    const [body, done] = [states[1] ?? {}, 1];
    const steps = [1, 2].map((n) => ({
      n,
      at: n,
      words: `Step ${n}`,
      ...changeBetween(states[n - 1] ?? {}, states[n] ?? {}),
    }));
    const run = (text: string, values: unknown[] = []) => first.em.getConnection().execute(text, values);
    await run("update document set body = ?, done = ? where kind = 'panel'", [JSON.stringify(body), done]);
    for (const { n, at, words, patches, inverse } of steps)
      await run(
        "insert into step (document_id, n, at, words, patches, inverse) select id, ?, ?, ?, ?, ? from document where kind = 'panel'",
        [n, at, words, JSON.stringify(patches), JSON.stringify(inverse)],
      );
    await closeDatabase(first);

    const again = await openDatabase(file);
    const shop = await findShop(again.em.fork(), slug);
    const [panel] = shop ? await listDocuments(again.em.fork(), shop, panelKind) : [];
    const opened = shop && (await loadDocument(again.em.fork(), shop, panelKind, panel?.slug));
    if (!opened) throw new Error("The panel is gone.");
    const settingsOf = (document: PanelDocument) => facetRows(document)[0]?.settings;
    const [undone, redone] = [opened.history.steps[0]?.inverse ?? [], opened.history.steps[1]?.patches ?? []];
    expect(opened.history.steps.map(({ words }) => words)).toEqual(["Step 1", "Step 2"]);
    expect(settingsOf(opened.document)).toEqual({ emptyOptions: "keep", min: 1 });
    expect(settingsOf(patched(opened.document, undone))).toEqual({ emptyOptions: "keep" });
    expect(settingsOf(patched(opened.document, redone))).toEqual({ emptyOptions: "drop", min: 1 });
    expect(checkDocument(panelKind, patched(opened.document, redone)).format).toBe(5);
    await closeDatabase(again);
  });
});

describe("stored documents", () => {
  it("are saved only over the version that is known", async () => {
    const { slug } = await create("Versions");
    const shop = await shopAt(slug);
    const save = (version: number, name: string) =>
      saveDocument(em(), shop, panelKind, "first-panel", { version, document: emptyPanel(name) });
    expect(await save(1, "One")).toBe(2);
    expect(await save(1, "Two")).toBeUndefined();
    expect(await readDocument(em(), shop, panelKind, "first-panel")).toMatchObject({
      version: 2,
      document: { name: "One" },
    });
  });

  it("of one name have addresses of their own, also when they are made at once", async () => {
    const { slug } = await create("Many panels");
    const shop = await shopAt(slug);
    const made = await Promise.all(
      Array.from({ length: 3 }, () => createDocument(em(), shop, panelKind, emptyPanel("Same"))),
    );
    expect(new Set(made.map(({ slug: panel }) => panel)).size).toBe(3);
    expect(await readDocument(em(), shop, panelKind, "none")).toBeUndefined();
  });

  it("of which a shop has one are there before they are saved", async () => {
    const shop = await shopAt((await create("Fresh")).slug);
    expect(await readDocument(em(), shop, shopKind)).toEqual({ version: 0, document: shopKind.fresh("") });
    expect(await loadDocument(em(), shop, mendsKind)).toMatchObject({ version: 0, history: { steps: [], done: 0 } });
  });

  it("keep their last 200 steps, of which those that were undone give way to new ones", async () => {
    const shop = await shopAt((await create("Steps")).slug);
    const step = (n: number) => {
      const change = perform(emptyPanel("Before"), renamePanel(`Name ${n}`));
      return { n, at: n, words: `Name ${n}`, patches: change?.patches ?? [], inverse: change?.inverse ?? [] };
    };
    const steps = Array.from({ length: 230 }, (_, i) => step(i + 1));
    const save = (version: number, history: { from: number; steps: typeof steps; done: number }) =>
      saveDocument(em(), shop, panelKind, "first-panel", {
        version,
        document: edited(emptyPanel("x"), renamePanel(`Version ${version}`)),
        history,
      });
    expect(await save(1, { from: 1, steps, done: 230 })).toBe(2);
    const opened = await loadDocument(em(), shop, panelKind, "first-panel");
    expect([opened?.history.steps.length, opened?.history.steps[0]?.n, opened?.history.done]).toEqual([200, 31, 230]);
    expect(await save(2, { from: 229, steps: [{ ...step(229), words: "Another way" }], done: 229 })).toBe(3);
    const again = await loadDocument(em(), shop, panelKind, "first-panel");
    expect(again?.history.steps.slice(-2).map(({ n, words }) => [n, words])).toEqual([
      [228, "Name 228"],
      [229, "Another way"],
    ]);
  });
});
