import { statSync } from "node:fs";
import Database from "libsql";
import { entryAt, realFile } from "../disk/files.ts";

/** Another program has the database open. */
export class InUse extends Error {
  override name = "InUse";
}

/**
 * Holds a database file for this process alone, until it ends in whatever way: the lock is the operating system's, on
 * a file of its own, so that it outlives no crash.
 * @param file by whatever name: links lead to the same lock
 * @returns what gives it back
 * @throws InUse if another process holds it
 */
export function lockFile(file: string): () => void {
  if (file === ":memory:") return () => {};
  const real = realFile(file);
  // Under a second name the same file has a second lock, and a log of its own. Source: SQLite, How To Corrupt, 2.5.
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
