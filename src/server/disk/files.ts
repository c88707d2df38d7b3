import { randomBytes } from "node:crypto";
import {
  closeSync,
  constants,
  existsSync,
  fsyncSync,
  linkSync,
  lstatSync,
  openSync,
  realpathSync,
  renameSync,
  type Stats,
  unlinkSync,
  writeFileSync,
} from "node:fs";
import { basename, dirname, join, resolve } from "node:path";

/**
 * The only module that replaces, moves or removes files; the linter forbids these calls elsewhere. Links are never
 * followed: a link is reported, or replaced itself.
 */

/** The entry at a path itself rather than a link's target; undefined if there is none. */
export const entryAt = (path: string): Stats | undefined => lstatSync(path, { throwIfNoEntry: false });

/** Creates a file that must not exist, not even as a link, and flushes it to disk. */
function createFile(path: string, bytes: Uint8Array | string, mode = 0o666): void {
  const { O_WRONLY, O_CREAT, O_EXCL, O_NOFOLLOW } = constants;
  const handle = openSync(path, O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW, mode);
  try {
    writeFileSync(handle, bytes);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** The temporary name of a file beside its final place. @param token makes it unique, and recognisable later */
export const partPath = (path: string, token: string): string =>
  join(dirname(path), `.${basename(path).slice(0, 200)}.${token}.part`);

export const newToken = (): string => randomBytes(8).toString("hex");

/**
 * Replaces or creates a file: the complete content is written beside it and renamed, so that a reader, or a crash,
 * finds either the old content or the new.
 * @param token for the temporary name; random by default
 */
export function replaceFile(
  path: string,
  bytes: Uint8Array | string,
  { mode, token = newToken() }: { mode?: number; token?: string } = {},
): void {
  const part = partPath(path, token);
  try {
    createFile(part, bytes, mode);
    renameSync(part, path);
  } catch (error) {
    if (entryAt(part)?.isFile()) unlinkSync(part);
    throw error;
  }
}

/** Removes one regular file. Links, folders and missing files are left alone. @returns whether it was removed */
export function removeFile(path: string): boolean {
  if (!entryAt(path)?.isFile()) return false;
  unlinkSync(path);
  return true;
}

/** Renames a file to an unused name. @throws Error with the code EEXIST if it exists */
export function renameToUnused(from: string, to: string): void {
  try {
    // Unlike a rename, a hard link never replaces a file that has appeared meanwhile.
    linkSync(from, to);
    unlinkSync(from);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    // Some file systems (FAT, some network drives) have no hard links.
    if (code !== "EPERM" && code !== "ENOTSUP" && code !== "ENOSYS") throw error;
    if (entryAt(to)) throw Object.assign(new Error(`${to} exists already.`), { code: "EEXIST" });
    renameSync(from, to);
  }
}

/** The files that SQLite keeps for one database: the file itself, its write-ahead log and its shared memory. */
export const databaseSuffixes = ["", "-wal", "-shm"] as const;

/**
 * Moves a database and its log aside, under a name with the date and time.
 * @param why a word that becomes part of the name, like `before-restore`
 * @returns the new name of the database file; undefined if there was none
 */
export function moveDatabaseAside(file: string, why: string, now = new Date()): string | undefined {
  const there = databaseSuffixes.filter((end) => entryAt(`${file}${end}`));
  if (there.length === 0) return undefined;
  const stamp = now.toISOString().slice(0, 19).replace("T", "-").replaceAll(":", "");
  const aside = freeName(`${file}.${why}-${stamp}`);
  for (const end of there) renameToUnused(`${file}${end}`, `${aside}${end}`);
  return aside;
}

/** An unused file name: the wanted one, or the wanted one with a number. */
export function freeName(wanted: string): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}-${n}`;
    if (databaseSuffixes.every((end) => !entryAt(`${name}${end}`))) return name;
  }
}

/**
 * The path of a file with every link in it resolved, so that one file has one name. A file that does not exist yet
 * gets its future name.
 * @throws Error for a link that points to nothing
 */
export function realFile(path: string): string {
  const whole = resolve(path);
  if (existsSync(whole)) return realpathSync(whole);
  if (entryAt(whole)) throw new Error(`${path} is a link to a file that does not exist. Name the file itself.`);
  const folder = dirname(whole);
  return existsSync(folder) ? join(realpathSync(folder), basename(whole)) : whole;
}
