import { copyFileSync, constants as fsConstants, mkdirSync } from "node:fs";
import { dirname } from "node:path";
import Database from "libsql";
import { entryAt, moveDatabaseAside, removeFile, renameToUnused } from "../disk/files.ts";
import { checkFile } from "./check-file.ts";

/** Temporary name of a database beside its final place. */
const partOf = (file: string): string => `${file}.trellis-part`;

/**
 * Copies a database in use into another file, completely or not at all.
 * @throws Error if the file exists, or can’t be written
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
 * Replaces a database by a backup; the present one is moved aside with its log, under a name with the date. The caller
 * holds the lock. After a crash {@link completeRestore} finishes it.
 * @param known names of this version's migrations
 * @returns the old file's new place; undefined if there was none
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
 * Finishes an interrupted restore or backup: a complete file is moved to its place if that is still free, and useless
 * temporary files are removed. The caller holds the lock.
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
