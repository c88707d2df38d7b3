import { copyFileSync, constants as fsConstants, mkdirSync } from "node:fs";
import { dirname } from "node:path";
import Database from "libsql";
import { entryAt, moveDatabaseAside, removeFile, renameToUnused } from "../disk/files.ts";
import { checkFile } from "./check-file.ts";

/** A database under construction beside the place that it will have. */
const partOf = (file: string): string => `${file}.trellis-part`;

/**
 * Writes all of a database into one other file, while whoever has it open goes on. The file is there whole or not at
 * all.
 * @throws Error if there is a file already, or it can’t be written
 */
export function backUp(file: string, out: string): void {
  if (entryAt(out)) throw new Error(`${out} exists already. Name another file.`);
  mkdirSync(dirname(out), { recursive: true });
  const part = partOf(out);
  removeFile(part);
  vacuumInto(file, part);
  renameToUnused(part, out);
}

/**
 * Puts a backup in a database’s place, whatever is there now: that is moved aside under a name with the date, together
 * with its log. The caller holds the lock. After a crash {@link completeRestore} ends it.
 * @param known names of the migrations that this version has
 * @returns where the old file is; undefined if there was none
 * @throws Error if the backup is not one of ours; nothing is changed then
 */
export function restoreBackup(from: string, file: string, known: readonly string[]): string | undefined {
  if (checkFile(from, known) === undefined) throw new Error(`There is no file ${from}. Check the name.`);
  mkdirSync(dirname(file), { recursive: true });
  const part = partOf(file);
  removeFile(part);
  const log = entryAt(`${from}-wal`);
  if (log && log.size > 0) vacuumInto(from, part);
  else copyFileSync(from, part, fsConstants.COPYFILE_EXCL);
  const kept = moveDatabaseAside(file, "before-restore");
  renameToUnused(part, file);
  return kept;
}

function vacuumInto(from: string, part: string): void {
  const database = new Database(from);
  try {
    database.exec("pragma busy_timeout = 5000");
    database.prepare("vacuum into ?").run(part);
  } finally {
    database.close();
  }
}

/**
 * Ends a restore or a backup that was interrupted: a whole file whose place is still free takes it, and a part that is
 * of no use is removed. The caller holds the lock.
 */
export function completeRestore(file: string, known: readonly string[]): void {
  const part = partOf(file);
  if (!entryAt(part)?.isFile()) return;
  if (!entryAt(file) && isWhole(part, known)) renameToUnused(part, file);
  else removeFile(part);
}

function isWhole(file: string, known: readonly string[]): boolean {
  try {
    return checkFile(file, known) !== undefined;
  } catch {
    return false;
  }
}
