import { spawnSync } from "node:child_process";
import {
  copyFileSync,
  cpSync,
  linkSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "libsql";
import { runTrellis } from "../../src/cli/run.ts";
import { limits } from "../../src/core/sanitize/limits.ts";
import { writeOwnedFolder } from "../../src/server/disk/owned-folder.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";
import { lockFile } from "../../src/server/store/lock.ts";
import { casesOf, type ErrorCase } from "./case.ts";
import { publishedCases } from "./published.ts";

/** The cases of the command line, over a database and a folder with the demo shop. Call `close` at the end. */
export async function commandLineCases(): Promise<{ cases: readonly ErrorCase[]; close(): void }> {
  const here = mkdtempSync(join(tmpdir(), "trellis-said-"));
  const file = (name: string) => join(here, name);
  const database = file("shops.db");
  const orm = await openDatabase(database);
  await seedDemo(orm, ".");
  await closeDatabase(orm);
  const folder = file("larkmoss");
  await runTrellis(["export", "--shop", "larkmoss-nursery", "--out", folder, "--data", database]);
  const catalogue = "demo/nursery.csv";

  /** A command's standard error, without the name of the program. */
  const run =
    (...args: string[]) =>
    async () =>
      (await runTrellis(args)).err.replace(/^trellis: /, "").trimEnd();
  const tally = (...args: string[]) => run("tally", catalogue, ...args);
  const writing = (name: string, content: string | Uint8Array): string => {
    writeFileSync(file(name), content);
    return file(name);
  };
  /** A file of a size, which takes no room on the disk. */
  const sparse = (name: string, size: number): string => {
    truncateSync(writing(name, ""), size);
    return file(name);
  };
  const importInto = (path: string) => run("import", folder, "--data", path);

  const usage = casesOf([
    ["Name a command: …. See trellis --help.", run()],
    ["Unknown command “chek”. Did you mean check? See trellis --help.", run("chek")],
    ["Name one shop folder. Usage: trellis check (FOLDER | --shop SLUG) …", run("check")],
    ["Name a shop with --shop to read the database. Usage: …", run("check", "--data", database)],
    ["Name a folder or --shop, not both. Usage: …", run("check", folder, "--shop", "larkmoss-nursery")],
    [
      "“larkmoss-nursery” has no edition 77. Its newest is 1.",
      run("ids", "--shop", "larkmoss-nursery", "--edition", "77", "--data", database),
    ],
    [
      "“larkmoss-nursery” has no edition yet. Publish it, or use --edition draft.",
      async () => {
        await runTrellis(["import", folder, "--data", file("unpublished.db")]);
        return run("handoff", "--shop", "larkmoss-nursery", "--out", file("h"), "--data", file("unpublished.db"))();
      },
    ],
    [
      "“larkmoss-nursery” has no edition yet. Publish it first.",
      run("publish", "--shop", "larkmoss-nursery", "--data", file("unpublished.db"), "--out", file("never")),
    ],
    [
      "“larkmoss-nursery” has no edition 3. It has none yet.",
      run("ids", "--shop", "larkmoss-nursery", "--edition", "3", "--data", file("unpublished.db")),
    ],
    ["Name two shop folders. Usage: trellis diff …", run("diff", folder)],
    ["There is no schema “panl”. Did you mean panel? Choose one of ….", run("schema", "panl")],
    ["--level must be one of note, warning, error, not “warn”.…", run("check", folder, "--level", "warn")],
    ["This shop has no page /nowhere.…", run("check", folder, "--page", "/nowhere")],
    ["…larkmoss has no page /nowhere.…", run("rehearse", folder, "--page", "/nowhere")],
    ["--shoppers must be a whole number from 1 to 100000, not “many”.", run("rehearse", folder, "--shoppers", "many")],
    [
      "--band must be one of wide, medium, slim, not “wid”. Did you mean wide?",
      run("rehearse", folder, "--band", "wid"),
    ],
    [
      "There is no panel with a facet on / of …/bare on wide.",
      async () => {
        const bare = file("bare");
        cpSync(folder, bare, { recursive: true });
        rmSync(join(bare, "panels"), { recursive: true });
        const manifest = JSON.parse(readFileSync(join(bare, "shop.json"), "utf8"));
        writeFileSync(join(bare, "shop.json"), JSON.stringify({ ...manifest, panels: [] }));
        return run("rehearse", bare, "--shoppers", "1")();
      },
    ],
    ["Name the folder to write to with --out. Usage: …", run("handoff", folder)],
    ["--name must be KEY=NAME, not “light”.", run("handoff", folder, "--out", file("h"), "--name", "light")],
    [
      "…/none.html can’t be read. Check the name.",
      run("handoff", folder, "--out", file("h"), "--card", file("none.html")),
    ],
    [
      "--share needs a second edition: name it with --trial.",
      run("handoff", folder, "--out", file("h"), "--share", "1"),
    ],
    [
      "--trial names an edition of the database: name the shop with --shop.",
      run("handoff", folder, "--out", file("h"), "--trial", "1"),
    ],
    [
      "--trial must be the number of an edition, not “draft”.",
      run("handoff", "--shop", "larkmoss-nursery", "--data", database, "--out", file("h"), "--trial", "draft"),
    ],
    [
      "--share must be a number between 0 and 1, not “1.5”.",
      run(
        ...["handoff", "--shop", "larkmoss-nursery", "--data", database, "--out", file("h")],
        ...["--trial", "1", "--share", "1.5"],
      ),
    ],
    ["Name a shop and a folder. Usage: …", run("export")],
    [
      "There is no shop “larkmos-nursery”. Did you mean larkmoss-nursery?",
      run("export", "--shop", "larkmos-nursery", "--out", file("x"), "--data", database),
    ],
    [
      "There is no database …/none.db. Check the name.",
      run("export", "--shop", "a", "--out", file("x"), "--data", file("none.db")),
    ],
    ["There is no file …/none.jsonl. Check the name.", run("visits", file("none.jsonl"))],
    ["--as must be one of text, json, not “csv”.", run("visits", writing("v.jsonl", ""), "--as", "csv")],
    ["Name a file to write. Usage: …", run("backup")],
    [
      "There is no database …/none.db. Check the name.",
      run("backup", "--out", file("b.db"), "--data", file("none.db")),
    ],
    [
      "…/taken.db exists already. Name another file.",
      run("backup", "--out", writing("taken.db", "x"), "--data", database),
    ],
    ["Name a backup. Usage: …", run("restore")],
    ["There is no file …/none.db. Check the name.", run("restore", "--from", file("none.db"), "--data", database)],
    ["…/shops.db is the database itself. Name a backup of it.", run("restore", "--from", database, "--data", database)],
  ]);

  const server =
    (...args: string[]) =>
    () =>
      spawnSync(process.execPath, ["--import", "tsx", "src/server/main.ts", ...args], {
        encoding: "utf8",
      }).stderr.trim();
  const starts = casesOf([["…“77777” is not a port. Use a number up to 65535.…", server("--port", "77777")]]);

  const tallies = casesOf([
    ["Name one catalogue file, like: trellis tally CATALOGUE.csv --facet colour", run("tally")],
    ["…/none.csv can’t be read: there is no such file.", run("tally", file("none.csv"))],
    [
      "…/large.csv has more than 256 MB, the largest size that a catalogue can have.",
      () => run("tally", sparse("large.csv", limits.upload.max + 1))(),
    ],
    ["--facet “light” appears twice. Remove one.", tally("--facet", "light", "--facet", "light")],
    [
      "“Light” is picked twice. Join its values with “|” in one --pick.",
      tally("--facet", "light", "--pick", "light=Shade", "--pick", "light=Full sun"),
    ],
    ["“some” is not a mode of “light”. Use one of ….", tally("--facet", "light:some")],
    [
      "--pick 'light' has no “=”. Write it like 'colour=black|white' or 'price=10..20'.",
      tally("--facet", "light", "--pick", "light"),
    ],
    ["“cheap” in --pick 'Price=cheap..' is not a number.", tally("--facet", "price", "--pick", "price=cheap..")],
    [
      "--pick 'Price=10' is not a range. Write it like 10..20, 10.. or ..20.",
      tally("--facet", "price", "--pick", "price=10"),
    ],
    ["--pick 'Light=' has no value after “=”.", tally("--facet", "light", "--pick", "light=")],
    [
      "No product has the value “moonlight” for Light. Values are: ….",
      tally("--facet", "light", "--pick", "light=moonlight"),
    ],
    ["Light allows one value only, but 2 are picked.", tally("--facet", "light:one", "--pick", "light=Shade|Full sun")],
    ["There is no facet “colr” in this catalogue. It has: ….", tally("--facet", "colr")],
  ]);

  const guarded = (name: string, change: (path: string) => void) => {
    const path = file(name);
    mkdirSync(path);
    change(path);
    return run("export", "--shop", "larkmoss-nursery", "--out", path, "--data", database);
  };
  const owned = (files: Record<string, string>) =>
    new Map(Object.entries(files).map(([path, text]) => [path, new TextEncoder().encode(text)]));
  const folders = casesOf([
    ["…/none can’t be read: there is no such folder.", run("check", file("none"))],
    [
      ".: The folder has more than 20,000 files, or more than 1,024 MB. Split the shop.",
      () => {
        mkdirSync(file("large"));
        return run("check", sparse("large/catalogue.csv", limits.folderBytes.max + 1).replace(/.catalogue.csv$/, ""))();
      },
    ],
    ["… is not a folder.", run("export", "--shop", "larkmoss-nursery", "--out", database, "--data", database)],
    [
      "…/shop.json/x can’t be written: it is not a folder.",
      run("export", "--shop", "larkmoss-nursery", "--out", join(folder, "shop.json/x"), "--data", database),
    ],
    [
      "…/mine contains files that are not from an earlier export. Choose an empty folder, or add --into to write into this one: no file there would be replaced, and nothing is removed.",
      guarded("mine", (path) => writeFileSync(join(path, "notes.txt"), "x")),
    ],
    [
      "In …/linked, shop.json is a link, and links are not followed. Nothing was changed. Move it, or choose a different folder.",
      guarded("linked", (path) => symlinkSync(join(here, "elsewhere"), join(path, "shop.json"))),
    ],
    [
      "“../a” would be written outside of ….",
      () => writeOwnedFolder(file("outside"), owned({ "../a": "x" }), { content: "shop" }),
    ],
    [
      "In …/changed, a.json was changed or added since the last time. Copy what you need, then add --into to replace it.",
      () => {
        writeOwnedFolder(file("changed"), owned({ "a.json": "1" }), { content: "shop" });
        writeFileSync(join(file("changed"), "a.json"), "2");
        writeOwnedFolder(file("changed"), owned({ "a.json": "3" }), { content: "shop" });
      },
    ],
    [
      "No longer part of the shop, but kept because they were changed: panels/old.json.",
      async () => {
        const into = file("kept");
        const two = { "panels/a.json": "1", "panels/old.json": "1" };
        writeOwnedFolder(into, owned(two), { content: "shop" });
        writeFileSync(join(into, "panels/old.json"), "2");
        return run("export", "--shop", "larkmoss-nursery", "--out", into, "--data", database)();
      },
    ],
  ]);

  const newer = file("newer.db");
  copyFileSync(database, newer);
  const changed = new Database(newer);
  changed.exec("insert into mikro_orm_migrations (name, executed_at) values ('2099-01-01-later', 0)");
  changed.close();
  const damaged = Buffer.from(readFileSync(database));
  damaged.fill(0xff, 4096, Math.min(damaged.length, 40_960));
  const foreign = file("foreign.db");
  const other = new Database(foreign);
  other.exec("create table recipe (name text)");
  other.close();
  const hard = file("hard.db");
  copyFileSync(database, hard);
  linkSync(hard, file("hard2.db"));
  symlinkSync(file("nowhere.db"), file("dangling.db"));
  const databases = casesOf([
    ["… is a folder. Name a file: --data FILE", importInto(folder)],
    [
      "…/empty.db is empty. If your shops should be in it, restore a backup: npm run -s trellis -- restore --from FILE. Otherwise remove it.",
      importInto(writing("empty.db", "")),
    ],
    [
      "…/text.db is not a SQLite database. Name the database of your shops: --data FILE",
      importInto(writing("text.db", "x".repeat(200))),
    ],
    [
      "…/foreign.db belongs to another program. Name the database of your shops, or a file that doesn’t exist yet: --data FILE",
      importInto(foreign),
    ],
    [
      "…/damaged.db is damaged. Restore a backup: npm run -s trellis -- restore --from FILE. The file stays as it is.",
      importInto(writing("damaged.db", damaged)),
    ],
    [
      "…/newer.db was written by a newer Zany Trellis. Use that version, or restore an earlier backup. The file stays as it is.",
      importInto(newer),
    ],
    ["…/hard.db has a second name (a hard link). Copy it, and use the copy: --data FILE", importInto(hard)],
    ["…/dangling.db is a link to a file that does not exist. Name the file itself.", importInto(file("dangling.db"))],
    [
      "…/shops.db is open in another running Zany Trellis. Use that one, stop it first, or choose a different file: --data FILE",
      async () => {
        const release = lockFile(database);
        const text = await importInto(database)();
        release();
        return text;
      },
    ],
    [
      "There is no file …/none.db. Check the name.",
      run("restore", "--from", file("none.db"), "--data", file("new.db")),
    ],
  ]);

  const published = await publishedCases(here, folder, run);
  return {
    cases: [...usage, ...starts, ...tallies, ...folders, ...databases, ...published],
    close: () => rmSync(here, { recursive: true, force: true }),
  };
}
