import { accessSync, closeSync, constants, existsSync, openSync, readSync, statSync } from "node:fs";
import Database from "libsql";

/** A database file that can't be opened, and why; the file itself is not touched. */
export class UnfitFile extends Error {
  override name = "UnfitFile";
}

/** How every SQLite file begins. Source: SQLite, Database File Format, section 1.3. */
const magic = "SQLite format 3\0";

/**
 * Judges a database file before anything is done with it: one that is not there is made later.
 * @param known names of the migrations that this version has, the oldest first
 * @returns the migrations that are still to be done; undefined where there is no file yet
 * @throws UnfitFile for one that is empty, no SQLite file, damaged, not writable, or written by a newer version
 */
export function checkFile(file: string, known: readonly string[]): string[] | undefined {
  if (file === ":memory:" || !existsSync(file)) return undefined;
  const refuse = (what: string): never => {
    throw new UnfitFile(`${file} ${what}`);
  };
  if (statSync(file).isDirectory()) refuse("is a folder. Name a file: --data FILE");
  if (statSync(file).size === 0)
    refuse(
      "is empty. If it should hold your shops, bring a backup back: npm run -s trellis -- restore --from FILE. Otherwise remove it.",
    );
  if (!begins(file)) refuse("is no SQLite file. Name the database of your shops: --data FILE");
  try {
    accessSync(file, constants.R_OK | constants.W_OK);
  } catch {
    refuse("can't be written by this account. Change its permissions, or copy it and use the copy: --data FILE");
  }
  const done = migrationsIn(file);
  if (!done)
    return refuse(
      "is damaged. Bring a backup back: npm run -s trellis -- restore --from FILE. The file is left as it is.",
    );
  const newer = done.filter((name) => !known.includes(name));
  if (newer.length > 0)
    refuse(
      "was written by a newer Zany Trellis. Use that version, or bring a backup of before back. The file is left as it is.",
    );
  return known.filter((name) => !done.includes(name));
}

function begins(file: string): boolean {
  const bytes = Buffer.alloc(magic.length);
  const handle = openSync(file, "r");
  try {
    readSync(handle, bytes, 0, magic.length, 0);
  } finally {
    closeSync(handle);
  }
  return bytes.toString("latin1") === magic;
}

/** Names of the migrations that were done over a file; undefined where it is damaged. */
function migrationsIn(file: string): string[] | undefined {
  let database: Database.Database | undefined;
  try {
    database = new Database(file);
    const [verdict] = database.prepare("pragma quick_check(1)").all() as { quick_check: string }[];
    if (verdict?.quick_check !== "ok") return undefined;
    const tables = database.prepare("select name from sqlite_master where name = 'mikro_orm_migrations'").all();
    if (tables.length === 0) return [];
    const rows = database.prepare("select name from mikro_orm_migrations").all() as { name: string }[];
    return rows.map(({ name }) => name);
  } catch {
    return undefined;
  } finally {
    database?.close();
  }
}
