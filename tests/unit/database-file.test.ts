import {
  copyFileSync,
  existsSync,
  linkSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "libsql";
import { afterAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { backUp } from "../../src/server/store/backup.ts";
import { applicationId, checkFile } from "../../src/server/store/check-file.ts";
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
      [Buffer.from("product_id,title\na,A\n"), /is not a SQLite database/],
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
    const old = await openDatabase(file, { upTo: "2026-11-28-past-catalogues" });
    await closeDatabase(old);
    await closeDatabase(await openDatabase(file));
    const copies = readdirSync(folder).filter((name) => name.startsWith(`${count}.db.before-`));
    expect(copies).toEqual([`${count}.db.before-${migrationNames.at(-1)}`]);
    const pending = checkFile(join(folder, copies[0] ?? ""), migrationNames);
    expect(pending).toEqual(migrationNames.slice(migrationNames.indexOf("2026-11-28-past-catalogues") + 1));
    expect(pending).toContain("2026-11-30-step-times");
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
    expect(() => backUp(file, out)).toThrow("exists already");
    // Not under a running tool.
    const held = await runTrellis(["restore", "--from", out, "--data", file]);
    expect(held).toMatchObject({ status: 2, err: expect.stringContaining("open in another running Zany Trellis") });
    await closeDatabase(orm);
    unlock();
    const ran = await runTrellis(["restore", "--from", out, "--data", file]);
    expect(ran.status).toBe(0);
    expect(await shopsIn(file)).toEqual(["Before"]);
    const kept = /^The old file is now (.+)$/m.exec(ran.out)?.[1] ?? "";
    expect(kept.startsWith(`${file}.before-restore-20`)).toBe(true);
    expect(await shopsIn(kept)).toEqual(["Before", "After"]);
  });

  it("that are none are not brought back", async () => {
    const file = await made("Stays");
    const none = fresh();
    writeFileSync(none, "no database");
    expect(await runTrellis(["restore", "--from", none, "--data", file])).toMatchObject({
      status: 2,
      err: expect.stringContaining("is not a SQLite database"),
    });
    expect(await shopsIn(file)).toEqual(["Stays"]);
  });
});

describe("a restore", () => {
  const ruins: [name: string, ruin: (file: string) => void][] = [
    ["damaged", (file) => writeFileSync(file, Buffer.from(readFileSync(file)).fill(0xff, 4096, 40_960))],
    ["cut off", (file) => writeFileSync(file, readFileSync(file).subarray(0, 10_000))],
    ["empty", (file) => writeFileSync(file, "")],
    ["not a database", (file) => writeFileSync(file, "holiday photos")],
    ["another program’s", (file) => copyFileSync(foreignDatabase(), file)],
  ];
  it.each(ruins)("replaces a file that is %s, and keeps that file with its log", async (_, ruin) => {
    const [backup, file] = [await made("Backed up"), await made("Lost")];
    ruin(file);
    writeFileSync(`${file}-wal`, "a log of the ruin");
    const before = readFileSync(file);
    const ran = await runTrellis(["restore", "--from", backup, "--data", file]);
    expect([ran.status, ran.err]).toEqual([0, ""]);
    expect(await shopsIn(file)).toEqual(["Backed up"]);
    const kept = /^The old file is now (.+)$/m.exec(ran.out)?.[1] ?? "";
    expect(readFileSync(kept).equals(before)).toBe(true);
    expect(readFileSync(`${kept}-wal`, "utf8")).toBe("a log of the ruin");
    expect(readdirSync(folder).filter((name) => name.endsWith(".trellis-part"))).toEqual([]);
  });

  it("that was killed is completed at the next start, or leaves no litter", async () => {
    const [backup, file] = [await made("Backed up"), await made("There")];
    const part = `${file}.trellis-part`;
    // Killed while it copied.
    writeFileSync(part, readFileSync(backup).subarray(0, 8192));
    expect(await shopsIn(file)).toEqual(["There"]);
    expect(existsSync(part)).toBe(false);
    // Killed after the old file was moved.
    copyFileSync(backup, part);
    rmSync(file);
    expect(await shopsIn(file)).toEqual(["Backed up"]);
    expect(existsSync(part)).toBe(false);
  });
});

/** A database of another program, which has tables by the same library. */
function foreignDatabase(): string {
  const file = fresh();
  const database = new Database(file);
  database.exec("create table mikro_orm_migrations (id integer, name text); create table holiday (photo text)");
  database.exec("insert into mikro_orm_migrations values (1, 'Migration20200101'); insert into holiday values ('a')");
  database.close();
  return file;
}

describe("whose a database is", () => {
  it("stands in its header, and another program’s is left alone", async () => {
    expect(readFileSync(await made("Ours")).readUInt32BE(68)).toBe(applicationId);
    const named = fresh();
    const database = new Database(named);
    database.exec("pragma application_id = 42");
    database.close();
    for (const file of [foreignDatabase(), named]) {
      const before = readFileSync(file);
      await expect(openDatabase(file)).rejects.toThrow("belongs to another program");
      const fresh = await runTrellis(["backup", "--out", join(folder, "never.db"), "--data", file]);
      expect(fresh.err).toContain("belongs to another program");
      expect(readFileSync(file).equals(before)).toBe(true);
    }
  });

  it("is said of an older file of ours when it is opened", async () => {
    const file = await made("Older");
    const database = new Database(file);
    database.exec("pragma application_id = 0; pragma wal_checkpoint(truncate)");
    database.close();
    expect(await shopsIn(file)).toEqual(["Older"]);
    expect(readFileSync(file).readUInt32BE(68)).toBe(applicationId);
  });

  it("is locked under every name", async () => {
    const file = await made("Linked");
    const [link, hard, dangling] = [fresh(), fresh(), fresh()];
    symlinkSync(file, link);
    const release = lockFile(file);
    expect(() => lockFile(link)).toThrow("open in another running Zany Trellis");
    release();
    linkSync(file, hard);
    expect(() => lockFile(hard)).toThrow("a second name");
    symlinkSync(join(folder, "nowhere.db"), dangling);
    expect(() => lockFile(dangling)).toThrow("a link to a file that does not exist");
  });
});

describe("a file that is changed from outside while it is open", () => {
  const acts: [name: string, act: (file: string) => void][] = [
    ["its log removed", (file) => rmSync(`${file}-wal`)],
    ["moved away", (file) => renameSync(file, `${file}.away`)],
    [
      "replaced",
      (file) => {
        copyFileSync(file, `${file}.copy`);
        renameSync(`${file}.copy`, file);
      },
    ],
  ];
  it.each(acts)("%s: it is noticed, reported once, and nothing is saved any more", async (_, act) => {
    const file = fresh();
    const told: string[] = [];
    const orm = await openDatabase(file, { onLost: (sentence) => told.push(sentence) });
    const shop = { currency: "EUR", ...newShopOf(catalogue) };
    await createShop(orm.em.fork(), { name: "Kept", ...shop });
    act(file);
    await expect(createShop(orm.em.fork(), { name: "Lost", ...shop })).rejects.toMatchObject({ status: 503 });
    await expect.poll(() => told.length, { timeout: 5000 }).toBe(1);
    await expect(createShop(orm.em.fork(), { name: "Lost", ...shop })).rejects.toThrow("moved, removed or replaced");
    await closeDatabase(orm);
  });

  it("is reported without a write", async () => {
    const file = fresh();
    const told: string[] = [];
    const orm = await openDatabase(file, { onLost: (sentence) => told.push(sentence) });
    renameSync(file, `${file}.away`);
    await expect.poll(() => told.length, { timeout: 5000 }).toBe(1);
    expect(told[0]).toContain("stop the server");
    await closeDatabase(orm);
  });
});

describe("a write", () => {
  // Source: SQLite's texts for SQLITE_FULL and SQLITE_IOERR.
  it.each(["database or disk is full", "SQLITE_IOERR: disk I/O error"])(
    "that the disk refuses is told as that: %s",
    async (words) => {
      const orm = await openDatabase(":memory:");
      const refused = write(orm.em.fork(), () => Promise.reject(new Error(words)));
      await expect(refused).rejects.toMatchObject({ status: 507, message: expect.stringContaining("Free some space") });
      await orm.close(true);
    },
  );
});
