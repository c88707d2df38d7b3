import { statSync } from "node:fs";
import Database from "libsql";
import { entryAt, realFile } from "../disk/files.ts";

/** Another program has the database open. */
export class InUse extends Error {
  override name = "InUse";
}

/**
 * Locks a database file for this process, until it ends in whatever way: an operating system's lock on a separate
 * file, so that it doesn't outlive a crash.
 * @param file by any name: links lead to the same lock
 * @returns releases it
 * @throws InUse if another process holds it
 */
export function lockFile(file: string): () => void {
  if (file === ":memory:") return () => {};
  const real = realFile(file);
  // Under a second name (hard link) the same file would have a second lock and log. Source: SQLite, How To Corrupt,
  // 2.5.
  if (entryAt(real)?.isFile() && statSync(real).nlink > 1)
    throw new InUse(`${file} has a second name (a hard link). Copy it, and use the copy: --data FILE`);
  const lock = new Database(`${real}.lock`);
  try {
    lock.exec("pragma busy_timeout = 0");
    lock.exec("begin exclusive");
  } catch (error) {
    lock.close();
    if (/SQLITE_BUSY|locked/i.test((error as Error).message))
      throw new InUse(
        `${file} is open in another running Zany Trellis. Use that one, stop it first, or choose a different file: --data FILE`,
      );
    throw error;
  }
  return () => lock.close();
}
