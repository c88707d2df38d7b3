import { readFileSync } from "node:fs";
import type { MikroORM } from "@mikro-orm/libsql";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { mendsKind } from "../../src/core/catalogue/mend/kind.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { panelKind } from "../../src/core/panel/kind.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { listDocuments, loadDocument, saveDocument } from "../../src/server/store/documents.ts";
import { listImports, replaceCatalogue, revertImport } from "../../src/server/store/imports.ts";
import { purgeRemoved } from "../../src/server/store/removal.ts";
import { createShop, findShop, importOf, loadBytes } from "../../src/server/store/shops.ts";
import { newShopOf } from "../new-shop.ts";

const text = readFileSync("demo/nursery.csv", "utf8");
const read = (csv: string) => readCatalogue(new TextEncoder().encode(csv)).catalogue;
const half = text.split("\n").slice(0, 200).join("\n");
let orm: MikroORM;

beforeAll(async () => {
  orm = await openDatabase(":memory:");
});
afterAll(() => orm.close(true));

const open = async (name: string) => {
  const em = orm.em.fork();
  await createShop(em, { name, currency: "EUR", ...newShopOf(read(text)), hash: "a".repeat(64) });
  const present = async () => {
    const shop = await findShop(orm.em.fork(), name.toLowerCase());
    if (!shop) throw new Error("The shop is not there.");
    return shop;
  };
  const mends = async () => loadDocument(em, await present(), mendsKind);
  return { em, present, mends };
};

describe("a file that was brought", () => {
  it("is taken back with the mends of before it, and what is taken back can be taken back again", async () => {
    const { em, present, mends } = await open("Backwards");
    const whole = Buffer.from(await loadBytes(em, await present()));
    await replaceCatalogue(em, await present(), {
      ...importOf(read(half)),
      fileName: "half.csv",
      hash: "b".repeat(64),
    });
    const units = { id: "m1", kind: "units", field: "mature-height", unit: "cm" } as const;
    await saveDocument(em, await present(), mendsKind, undefined, {
      version: 0,
      document: { format: 1, mends: [units] },
    });
    const [panel] = await listDocuments(em, await present(), panelKind);
    expect((await present()).productCount).toBeLessThan(240);

    const [brought] = await listImports(em, await present());
    expect(brought).toMatchObject({ words: "half.csv", before: 240, after: (await present()).productCount });
    await revertImport(em, await present(), brought?.id ?? 0);
    expect(Buffer.from(await loadBytes(em, await present())).equals(whole)).toBe(true);
    expect(await present()).toMatchObject({ productCount: 240, hash: "a".repeat(64) });
    const after = await mends();
    expect(after?.document.mends).toEqual([]);
    expect(after?.history.steps.at(-1)?.words).toBe("Undo import: half.csv");
    expect(await listDocuments(em, await present(), panelKind)).toEqual([panel]);

    const [again] = await listImports(em, await present());
    await revertImport(em, await present(), again?.id ?? 0);
    expect(await present()).toMatchObject({ hash: "b".repeat(64) });
    expect((await mends())?.document.mends).toEqual([units]);
  });

  it("of another shop, or one that is forgotten, cannot be taken back", async () => {
    const one = await open("One");
    const other = await open("Other");
    await replaceCatalogue(one.em, await one.present(), importOf(read(half)));
    const [brought] = await listImports(one.em, await one.present());
    await expect(revertImport(other.em, await other.present(), brought?.id ?? 0)).rejects.toThrow(
      "can’t be undone any more",
    );
    const day = 86_400_000;
    await purgeRemoved(one.em, new Date(Date.now() + 29 * day));
    expect(await listImports(one.em, await one.present())).toHaveLength(1);
    await purgeRemoved(one.em, new Date(Date.now() + 31 * day));
    expect(await listImports(one.em, await one.present())).toEqual([]);
    await expect(revertImport(one.em, await one.present(), brought?.id ?? 0)).rejects.toThrow(
      "can’t be undone any more",
    );
  });
});
