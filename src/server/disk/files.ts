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
 * The one place that replaces, moves or removes files; the linter keeps these calls out of every other file.
 * Nothing here follows a link: a link is reported, or replaced as the link that it is.
 */

/** The entry at a path itself, not what a link there points to; undefined if there is none. */
export const entryAt = (path: string): Stats | undefined => lstatSync(path, { throwIfNoEntry: false });

/** Creates a file that must not exist yet, links included, and writes it to disk before it returns. */
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

/** The name of a file under construction beside its final place. @param token makes it unique, and recognisable later */
export const partPath = (path: string, token: string): string =>
  join(dirname(path), `.${basename(path).slice(0, 200)}.${token}.part`);

export const newToken = (): string => randomBytes(8).toString("hex");

/**
 * Replaces a file, or creates it: complete content is written beside it and renamed, so that a reader, or a crash,
 * finds the old content or the new.
 * @param token names the file under construction; a random one by default
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

/** Removes one regular file. Links, folders and missing files remain unchanged. @returns whether it was removed */
export function removeFile(path: string): boolean {
  if (!entryAt(path)?.isFile()) return false;
  unlinkSync(path);
  return true;
}

/** Renames a file to a name that must be free. @throws Error with the code EEXIST where it is taken */
export function renameToUnused(from: string, to: string): void {
  try {
    // A hard link, unlike a rename, never replaces what has appeared there meanwhile.
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
 * Moves a database with its log aside, under a name with the date and time.
 * @param why a word that becomes part of the name, like `before-restore`
 * @returns the new name of the database file; undefined if nothing was there
 */
export function moveDatabaseAside(file: string, why: string, now = new Date()): string | undefined {
  const there = databaseSuffixes.filter((end) => entryAt(`${file}${end}`));
  if (there.length === 0) return undefined;
  const stamp = now.toISOString().slice(0, 19).replace("T", "-").replaceAll(":", "");
  const aside = freeName(`${file}.${why}-${stamp}`);
  for (const end of there) renameToUnused(`${file}${end}`, `${aside}${end}`);
  return aside;
}

/** A name that no file has: the wanted one, or the wanted one with a number. */
export function freeName(wanted: string): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}-${n}`;
    if (databaseSuffixes.every((end) => !entryAt(`${name}${end}`))) return name;
  }
}

/**
 * The path of a file with every link in it resolved, so that one file has one name. A file that does not exist yet
 * has the name that it will get.
 * @throws Error for a link that points to nothing
 */
export function realFile(path: string): string {
  const whole = resolve(path);
  if (existsSync(whole)) return realpathSync(whole);
  if (entryAt(whole)) throw new Error(`${path} is a link to a file that does not exist. Name the file itself.`);
  const folder = dirname(whole);
  return existsSync(folder) ? join(realpathSync(folder), basename(whole)) : whole;
}
