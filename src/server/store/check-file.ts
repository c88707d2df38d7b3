import { accessSync, closeSync, constants, existsSync, openSync, readSync, statSync } from "node:fs";
import Database from "libsql";

/** A database file that can't be opened, and why; the file itself is not changed. */
export class UnfitFile extends Error {
  override name = "UnfitFile";
  /** Whether a different program made the database. */
  readonly isForeign: boolean;
  constructor(message: string, isForeign = false) {
    super(message);
    this.isForeign = isForeign;
  }
}

/** How every SQLite file begins, and where it says which program it belongs to. Source: SQLite, Database File Format, section 1.3. */
const magic = "SQLite format 3\0";
const idOffset = 68;
const headerBytes = 100;

/** `pragma application_id` of the tool's databases: “ZTr” and 1. */
export const applicationId = 0x5a_54_72_01;

/**
 * Writes the application id into a database file of the tool, or creates the file with it, before anything else is
 * written.
 */
export function writeApplicationId(file: string): void {
  const database = new Database(file);
  try {
    database.exec(`pragma application_id = ${applicationId}`);
  } finally {
    database.close();
  }
}

/**
 * Checks a database file before it is used. The file is only read.
 * @param known names of this version's migrations, oldest first
 * @returns the migrations still to run; undefined if there is no file yet
 * @throws UnfitFile for a file that is empty, not a SQLite database, another program’s, damaged, not writable, or
 * written by a newer version
 */
export function checkFile(file: string, known: readonly string[]): string[] | undefined {
  if (file === ":memory:" || !existsSync(file)) return undefined;
  const refuse = (what: string, isForeign = false): never => {
    throw new UnfitFile(`${file} ${what}`, isForeign);
  };
  if (statSync(file).isDirectory()) refuse("is a folder. Name a file: --data FILE");
  if (statSync(file).size === 0)
    refuse(
      "is empty. If your shops should be in it, restore a backup: npm run -s trellis -- restore --from FILE. Otherwise remove it.",
    );
  const owner = ownerOf(file);
  if (owner === undefined) refuse("is not a SQLite database. Name the database of your shops: --data FILE", true);
  const foreign =
    "belongs to another program. Name the database of your shops, or a file that doesn’t exist yet: --data FILE";
  if (owner !== 0 && owner !== applicationId) refuse(foreign, true);
  try {
    accessSync(file, constants.R_OK | constants.W_OK);
  } catch {
    refuse("can’t be written by this account. Change its permissions, or copy it and use the copy: --data FILE");
  }
  const content = contentOf(file);
  if (!content)
    return refuse("is damaged. Restore a backup: npm run -s trellis -- restore --from FILE. The file stays as it is.");
  const { done, isEmpty } = content;
  // Files from before the application id existed contain our first migration.
  if (owner === 0 && !isEmpty && !done.includes(known[0] ?? "")) refuse(foreign, true);
  const newer = done.filter((name) => !known.includes(name));
  if (newer.length > 0)
    refuse(
      "was written by a newer Zany Trellis. Use that version, or restore an earlier backup. The file stays as it is.",
    );
  return known.filter((name) => !done.includes(name));
}

/** The application id in a file’s header; undefined if it is not a SQLite database. */
function ownerOf(file: string): number | undefined {
  const bytes = Buffer.alloc(headerBytes);
  const handle = openSync(file, "r");
  try {
    readSync(handle, bytes, 0, headerBytes, 0);
  } finally {
    closeSync(handle);
  }
  return bytes.toString("latin1", 0, magic.length) === magic ? bytes.readUInt32BE(idOffset) : undefined;
}

/** The migrations run on a file, and whether it contains any table; undefined if it is damaged. */
function contentOf(file: string): { done: string[]; isEmpty: boolean } | undefined {
  let database: Database.Database | undefined;
  try {
    database = new Database(file);
    database.exec("pragma query_only = on");
    const [verdict] = database.prepare("pragma quick_check(1)").all() as { quick_check: string }[];
    if (verdict?.quick_check !== "ok") return undefined;
    const tables = database.prepare("select name from sqlite_master").all() as { name: string }[];
    if (!tables.some(({ name }) => name === "mikro_orm_migrations")) return { done: [], isEmpty: tables.length === 0 };
    const rows = database.prepare("select name from mikro_orm_migrations").all() as { name: string }[];
    return { done: rows.map(({ name }) => name), isEmpty: false };
  } catch {
    return undefined;
  } finally {
    database?.close();
  }
}
