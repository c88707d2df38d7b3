import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { firstValue } from "../../src/core/catalogue/catalogue.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { emptyPanel } from "../../src/core/panel/document.ts";
import { openDatabase } from "../../src/server/database.ts";
import { createPanel, createShop, findPanel, findShop, listShops, loadCatalogue, replaceCatalogue, savePanel } from "../../src/server/shops.ts";

let orm: Awaited<ReturnType<typeof openDatabase>>;
beforeAll(async () => {
  orm = await openDatabase(":memory:");
});
afterAll(() => orm.close(true));

const em = () => orm.em.fork();
const read = (text: string, known?: Parameters<typeof readCatalogue>[1]) => readCatalogue(new TextEncoder().encode(text), known);
const small = "product_id,title,Size,stock\na,Ada,S,1\na,Ada,L,0\nb,Bea,M,2\n";
const create = (name: string) => createShop(em(), { name, currency: "EUR", read: read(small) });
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
    expect(shop.panels.getItems().map(({ slug: panel, version }) => [panel, version])).toEqual([["first-panel", 1]]);
    const catalogue = await loadCatalogue(em(), shop);
    expect(catalogue).toEqual(read(small).catalogue);
    expect(firstValue(catalogue, "availability", 1)).toBe("out of stock");
  });

  it("of one name have addresses of their own", async () => {
    const made = [await create("Twins"), await create("Twins"), await create("twins")];
    expect(made.map(({ slug }) => slug)).toEqual(["twins", "twins-2", "twins-3"]);
    expect((await listShops(em())).map(({ slug }) => slug)).toEqual(expect.arrayContaining(["twins", "twins-2", "twins-3"]));
  });

  it("take another catalogue in the place of theirs and keep their panels and keys", async () => {
    const { slug } = await create("Renewed");
    const before = await shopAt(slug);
    const next = read("product_id,title,SIZE,Wood\nb,Bea,XL,oak\nc,Cid,M,ash\n", { known: before.fields });
    await replaceCatalogue(em(), before, next);
    const after = await shopAt(slug);
    expect([after.productCount, after.variantCount]).toEqual([2, 2]);
    expect(after.fields.map(({ key }) => key)).toEqual(["product-id", "title", "size", "wood"]);
    expect((await loadCatalogue(em(), after)).productIds).toEqual(["b", "c"]);
    expect(after.panels.getItems()).toHaveLength(1);
  });

  it("that cannot be written whole leave nothing behind", async () => {
    const broken = read(small);
    // The database refuses the third row of products; the shop and the first two must go with it.
    broken.products.push({ id: null as unknown as string, rows: [["x"]] });
    await expect(createShop(em(), { name: "Half a shop", currency: "EUR", read: broken })).rejects.toThrow();
    expect(await findShop(em(), "half-a-shop")).toBeNull();
    const { slug } = await create("Stays");
    await expect(replaceCatalogue(em(), await shopAt(slug), broken)).rejects.toThrow();
    expect((await loadCatalogue(em(), await shopAt(slug))).productIds).toEqual(["a", "b"]);
  });
});

describe("stored panels", () => {
  it("are saved only over the version that is known", async () => {
    const { slug } = await create("Versions");
    const panel = await findPanel(em(), await shopAt(slug), "first-panel");
    if (!panel) throw new Error("There is no first panel.");
    expect(await savePanel(em(), panel, 1, emptyPanel("One"))).toBe(2);
    expect(await savePanel(em(), panel, 1, emptyPanel("Two"))).toBeUndefined();
    expect(await findPanel(em(), await shopAt(slug), "first-panel")).toMatchObject({ version: 2, document: { name: "One" } });
  });

  it("of one name have addresses of their own, also when they are made at once", async () => {
    const { slug } = await create("Many panels");
    const shop = await shopAt(slug);
    const made = await Promise.all(Array.from({ length: 3 }, () => createPanel(em(), shop, emptyPanel("Same"))));
    expect(new Set(made.map(({ slug: panel }) => panel)).size).toBe(3);
    expect(await findPanel(em(), shop, "none")).toBeNull();
  });
});
