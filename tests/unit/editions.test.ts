import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { productCount } from "../../src/core/catalogue/catalogue.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { edited } from "../../src/core/document/edit.ts";
import { renamePanel } from "../../src/core/panel/edit.ts";
import { panelKind } from "../../src/core/panel/kind.ts";
import { shopDifferences } from "../../src/core/report/shop-differences.ts";
import { swatchesKind } from "../../src/core/swatch/kind.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { createDocument, loadDocument, readDocument, saveDocument } from "../../src/server/store/documents.ts";
import { editionOf, listEditions, publish, restoreEdition, stateOf } from "../../src/server/store/editions.ts";
import { replaceCatalogue } from "../../src/server/store/imports.ts";
import { createShop, findShop, importOf } from "../../src/server/store/shops.ts";
import { ContentSchema } from "../../src/server/store/tables/snapshot.ts";
import { newShopOf } from "../new-shop.ts";

const folder = mkdtempSync(join(tmpdir(), "trellis-editions-"));
const file = join(folder, "shops.db");
let orm: Awaited<ReturnType<typeof openDatabase>>;
beforeAll(async () => {
  orm = await openDatabase(file);
});
afterAll(async () => {
  await orm.close(true);
  rmSync(folder, { recursive: true, force: true });
});

const em = () => orm.em.fork();
const read = (text: string) => readCatalogue(new TextEncoder().encode(text)).catalogue;
const small = "product_id,title,Size\na,Ada,S\nb,Bea,M\nc,Cleo,M\n";
const shopAt = async (slug: string) => {
  const shop = await findShop(em(), slug);
  if (!shop) throw new Error(slug);
  return shop;
};
const create = async (name: string, csv = small) =>
  shopAt((await createShop(em(), { name, currency: "EUR", ...newShopOf(read(csv)) })).slug);
const rename = async (slug: string, name: string) => {
  const shop = await shopAt(slug);
  const now = await loadDocument(em(), shop, panelKind, "first-panel");
  if (!now) throw new Error("There is a first panel.");
  const document = edited(now.document, renamePanel(name));
  expect(await saveDocument(em(), shop, panelKind, "first-panel", { version: now.version, document })).toBe(
    now.version + 1,
  );
};
const nameIn = async (slug: string, n?: number) => {
  const source = await editionOf(em(), await shopAt(slug), n);
  return (await source?.read(panelKind, "first-panel"))?.document.name;
};

describe("editions", () => {
  it("never change, whatever becomes of the draft", async () => {
    const shop = await create("Steady");
    expect(await editionOf(em(), shop)).toBeUndefined();
    expect(await publish(em(), shop, "One")).toMatchObject({ n: 1, note: "One" });
    await rename("steady", "Second name");
    await publish(em(), await shopAt("steady"), "Two");
    await rename("steady", "Third name");
    await replaceCatalogue(em(), shop, importOf(read("product_id,title,Size\na,Ada,XL\n")));

    expect([await nameIn("steady", 1), await nameIn("steady", 2), await nameIn("steady")]).toEqual([
      "First panel",
      "Second name",
      "Second name",
    ]);
    const source = await editionOf(em(), await shopAt("steady"), 1);
    expect(source && productCount(await source.catalogue())).toBe(3);
    expect((await listEditions(em(), shop)).map(({ n, note }) => [n, note])).toEqual([
      [2, "Two"],
      [1, "One"],
    ]);
  });

  it("are not made where nothing is another, and tell what is", async () => {
    const shop = await create("Same");
    await publish(em(), shop, "");
    await expect(publish(em(), shop, "")).rejects.toThrow("Nothing has changed since edition 1");
    await rename("same", "Other");
    const now = await shopAt("same");
    const words = shopDifferences(await stateOf(em(), now, 1), await stateOf(em(), now, "draft"));
    expect(words).toEqual([{ where: "Panel “Other”", words: "was renamed from “First panel” to “Other”" }]);
    await expect(stateOf(em(), now, 7)).rejects.toThrow("This shop has no edition 7");
  });

  it("keep once what they share: twenty of a large shop are hardly more than one", async () => {
    const rows = Array.from({ length: 20_000 }, (_, n) => `p${n},Product ${n},S${n % 7},${n % 90}`);
    const shop = await create("Large", ["product_id,title,Size,Width", ...rows].join("\n"));
    const contents = () => em().count(ContentSchema);
    await publish(em(), shop, "");
    await em().getConnection().execute("pragma wal_checkpoint(truncate)");
    const [before, size] = [await contents(), statSync(file).size];
    for (let n = 0; n < 19; n++) {
      await rename("large", `Name ${n}`);
      await publish(em(), await shopAt("large"), "");
    }
    await em().getConnection().execute("pragma wal_checkpoint(truncate)");
    expect(await listEditions(em(), shop)).toHaveLength(20);
    // One panel is another each time, and nothing else is.
    expect((await contents()) - before).toBe(19);
    expect(statSync(file).size).toBeLessThan(size * 1.5);
  });

  it("come back into the draft as steps that can be undone; what is newer than they are stays", async () => {
    const shop = await create("Back");
    await publish(em(), shop, "");
    await rename("back", "Later");
    await createDocument(em(), shop, panelKind, panelKind.fresh("Newer"));
    const book = { ...swatchesKind.fresh(""), limit: 9 };
    await saveDocument(em(), shop, swatchesKind, undefined, { version: 0, document: book });
    await restoreEdition(em(), await shopAt("back"), 1);
    const panel = await loadDocument(em(), shop, panelKind, "first-panel");
    expect(panel?.document.name).toBe("First panel");
    expect(panel?.history.steps.map(({ words }) => words)).toEqual(["Restore edition 1"]);
    expect((await readDocument(em(), shop, swatchesKind))?.document.limit).toBe(5);
    expect((await readDocument(em(), shop, panelKind, "newer"))?.document.name).toBe("Newer");
    // Bringing back what is there already is no step.
    await restoreEdition(em(), await shopAt("back"), 1);
    expect((await loadDocument(em(), shop, panelKind, "first-panel"))?.history.steps).toHaveLength(1);
  });
});
