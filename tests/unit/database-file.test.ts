import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "libsql";
import { afterAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { backUp } from "../../src/server/store/backup.ts";
import { checkFile } from "../../src/server/store/check-file.ts";
import { closeDatabase, migrationNames, openDatabase } from "../../src/server/store/database.ts";
import { lockFile } from "../../src/server/store/lock.ts";
import { createShop, listShops } from "../../src/server/store/shops.ts";
import { write } from "../../src/server/store/write.ts";
import { newShopOf } from "../new-shop.ts";

const folder = mkdtempSync(join(tmpdir(), "trellis-file-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
let count = 0;
const fresh = () => join(folder, `${++count}.db`);
const catalogue = readCatalogue(new TextEncoder().encode("product_id,title\na,A\n")).catalogue;

/** A database with a shop of this name, closed. */
async function made(name: string): Promise<string> {
  const file = fresh();
  const orm = await openDatabase(file);
  await createShop(orm.em.fork(), { name, currency: "EUR", ...newShopOf(catalogue) });
  await closeDatabase(orm);
  return file;
}
const shopsIn = async (file: string) => {
  const orm = await openDatabase(file);
  const names = (await listShops(orm.em.fork())).map(({ name }) => name);
  await closeDatabase(orm);
  return names;
};

describe("a database file", () => {
  it("is refused in a sentence, and left as it is, where it is none that can be opened", async () => {
    const whole = await made("Whole");
    const bytes = readFileSync(whole);
    const damaged = Buffer.from(bytes);
    damaged.fill(0xff, 4096, Math.min(damaged.length, 40_960));
    const newer = fresh();
    copyFileSync(whole, newer);
    const database = new Database(newer);
    database.exec("insert into mikro_orm_migrations (name, executed_at) values ('2099-01-01-later', 0)");
    database.close();
    const cases: [content: Buffer, sentence: RegExp][] = [
      [Buffer.alloc(0), /is empty/],
      [Buffer.from("product_id,title\na,A\n"), /is no SQLite file/],
      [damaged, /is damaged/],
      [readFileSync(newer), /newer Zany Trellis/],
    ];
    for (const [content, sentence] of cases) {
      const file = fresh();
      writeFileSync(file, content);
      await expect(openDatabase(file)).rejects.toThrow(sentence);
      expect(readFileSync(file).equals(content)).toBe(true);
    }
    expect(checkFile(whole, migrationNames)).toEqual([]);
    expect(checkFile(join(folder, "none.db"), migrationNames)).toBeUndefined();
  });

  it("is alone the whole of it once it was closed", async () => {
    const file = await made("Alone");
    expect(existsSync(`${file}-wal`) && readFileSync(`${file}-wal`).length > 0).toBe(false);
    const copy = fresh();
    copyFileSync(file, copy);
    expect(await shopsIn(copy)).toEqual(["Alone"]);
  });

  it("is copied before a newer version changes its tables", async () => {
    const file = fresh();
    const old = await openDatabase(file, { upTo: "2026-11-27-removed" });
    await closeDatabase(old);
    await closeDatabase(await openDatabase(file));
    const copies = readdirSync(folder).filter((name) => name.startsWith(`${count}.db.before-`));
    expect(copies).toEqual([`${count}.db.before-2026-11-28-past-catalogues`]);
    expect(checkFile(join(folder, copies[0] ?? ""), migrationNames)).toEqual(["2026-11-28-past-catalogues"]);
    // Nothing to do, nothing copied.
    await closeDatabase(await openDatabase(file));
    expect(readdirSync(folder).filter((name) => name.startsWith(`${count}.db.before-`))).toHaveLength(1);
  });
});

describe("backups", () => {
  it("are whole while the tool runs, and are brought back with what was there kept", async () => {
    const file = fresh();
    const orm = await openDatabase(file);
    const unlock = lockFile(file);
    await createShop(orm.em.fork(), { name: "Before", currency: "EUR", ...newShopOf(catalogue) });
    const out = join(folder, "backups/one.db");
    expect(await runTrellis(["backup", "--out", out, "--data", file])).toMatchObject({ status: 0, err: "" });
    await createShop(orm.em.fork(), { name: "After", currency: "EUR", ...newShopOf(catalogue) });
    expect(() => backUp(file, out)).toThrow("is there already");
    // Not under a running tool.
    const held = await runTrellis(["restore", "--from", out, "--data", file]);
    expect(held).toMatchObject({ status: 2, err: expect.stringContaining("open in another Zany Trellis") });
    await closeDatabase(orm);
    unlock();
    const ran = await runTrellis(["restore", "--from", out, "--data", file]);
    expect(ran.status).toBe(0);
    expect(await shopsIn(file)).toEqual(["Before"]);
    expect(await shopsIn(`${file}.before-restore`)).toEqual(["Before", "After"]);
    expect(ran.out).toContain(`${file}.before-restore`);
  });

  it("that are none are not brought back", async () => {
    const file = await made("Stays");
    const none = fresh();
    writeFileSync(none, "no database");
    expect(await runTrellis(["restore", "--from", none, "--data", file])).toMatchObject({
      status: 2,
      err: expect.stringContaining("is no SQLite file"),
    });
    expect(await shopsIn(file)).toEqual(["Stays"]);
  });
});

describe("a write", () => {
  // Source: SQLite's texts for SQLITE_FULL and SQLITE_IOERR.
  it.each(["database or disk is full", "SQLITE_IOERR: disk I/O error"])(
    "that the disk refuses is told as that: %s",
    async (words) => {
      const orm = await openDatabase(":memory:");
      const refused = write(orm.em.fork(), () => Promise.reject(new Error(words)));
      await expect(refused).rejects.toMatchObject({ status: 507, message: expect.stringContaining("Make room") });
      await orm.close(true);
    },
  );
});
