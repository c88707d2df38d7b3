import { createHash } from "node:crypto";
import { mkdirSync, readdirSync, readFileSync, realpathSync, statSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { type InferType, string } from "yup";
import { exact, oneOf, record } from "../../core/document/schema.ts";
import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";
import { hashOf } from "../hash.ts";
import { entryAt, newToken, partPath, removeFile, replaceFile } from "./files.ts";

/** The kinds of folders that the tool writes; each has its own list of files. */
export type FolderContent = "shop" | "handoff";

/** The list of files that the tool wrote into a folder. Nothing else there is ever removed. */
const listName = (content: FolderContent) => `.trellis-${content}-files.json`;
const longestList = 64 * 1024 * 1024;

const hexOf = (digits: number) =>
  string()
    .strict()
    .matches(new RegExp(`^[0-9a-f]{${digits}}$`))
    .required();
/** SHA-256 in hex of each file, by its path in the folder. */
const hashes = record(hexOf(64));
const listSchema = exact({
  tool: oneOf(["zany-trellis"]),
  files: hashes,
  /** While files are being written: their future hashes, and the token in their temporary names. */
  writing: exact({ token: hexOf(16), files: hashes })
    .optional()
    .default(undefined),
});
type FileList = InferType<typeof listSchema>;
type Hashes = Readonly<Record<string, string>>;

/** A folder that can't be written as requested. Nothing in it has been changed. */
export class FolderRefused extends Error {
  override name = "FolderRefused";
}

export interface FolderWishes {
  content: FolderContent;
  /** Whether a folder may contain other files, which are replaced if they have the same names. Default: no. */
  into?: boolean;
  /** Obsolete files to keep; none by default. */
  keep?: (path: string) => boolean;
}

/**
 * Writes files into a folder, creating it if needed. Replaces or removes only files that the tool wrote and nobody has
 * changed since; a folder with other files must be allowed explicitly. Links are never followed. All checks come
 * before the first change; after a crash the next call completes the work.
 * @returns paths of obsolete files that were kept, because somebody changed them
 * @throws FolderRefused, and the errors of the file system
 */
export function writeOwnedFolder(folder: string, files: ShopFiles, wishes: FolderWishes): string[] {
  const { content, into = false, keep = () => false } = wishes;
  const root = openRoot(folder);
  const list = readList(join(root, listName(content)));
  const next: Record<string, string> = {};
  for (const [path, bytes] of files) next[path] = hashOf(bytes);
  const present = presentIn(root, Object.keys(next), folder);
  if (!into) refuseForeign({ folder, root, content, list, next, present });

  const listed: Hashes = { ...list?.files, ...list?.writing?.files };
  const token = newToken();
  const saveList = (value: FileList) =>
    replaceFile(join(root, listName(content)), `${JSON.stringify(value, null, 1)}\n`, { token });
  if (list?.writing) removeParts(root, Object.keys(list.writing.files), list.writing.token);
  saveList({ tool: "zany-trellis", files: list?.files ?? {}, writing: { token, files: next } });
  for (const [path, bytes] of files) {
    if (present.get(path) === next[path]) continue;
    mkdirSync(join(root, dirname(path)), { recursive: true });
    replaceFile(join(root, path), bytes, { token });
  }
  const changed: string[] = [];
  const staying: Record<string, string> = {};
  for (const path of Object.keys(listed)) {
    if (Object.hasOwn(next, path) || !isInside(path) || obstacleTo(root, path)) continue;
    const now = hashAt(join(root, path));
    if (now === undefined) continue;
    if (!isListed(list, path, now)) changed.push(path);
    else if (keep(path)) staying[path] = now;
    else removeFile(join(root, path));
  }
  saveList({ tool: "zany-trellis", files: sorted({ ...staying, ...next }) });
  return changed;
}

const sorted = (value: Hashes): Record<string, string> =>
  Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));

/** Whether a path names a file below the folder, in the one notation that the tool writes. */
function isInside(path: string): boolean {
  return (
    path.length <= 1000 &&
    !/[\\\0]/.test(path) &&
    path.split("/").every((step) => step !== "" && step !== "." && step !== "..")
  );
}

/** Whether the list contains this content for a path, before or after an interrupted write. */
const isListed = (list: FileList | undefined, path: string, hash: string): boolean =>
  list?.files[path] === hash || list?.writing?.files[path] === hash;

/** The folder itself, created if needed; a link given by the user is resolved once. */
function openRoot(folder: string): string {
  const root = resolve(folder);
  if (!entryAt(root)) mkdirSync(root, { recursive: true });
  if (!statSync(root).isDirectory()) throw new FolderRefused(`${folder} is not a folder.`);
  return realpathSync(root);
}

function readList(path: string): FileList | undefined {
  const entry = entryAt(path);
  if (!entry?.isFile() || entry.size > longestList) return undefined;
  try {
    return listSchema.validateSync(JSON.parse(readFileSync(path, "utf8")));
  } catch {
    return undefined;
  }
}

/** The obstacle to writing a file at a path: a link, a folder, or a file where a folder should be. */
function obstacleTo(root: string, path: string): string | undefined {
  const steps = path.split("/");
  for (let depth = 1; depth <= steps.length; depth++) {
    const place = steps.slice(0, depth).join("/");
    const entry = entryAt(join(root, place));
    if (!entry) return undefined;
    if (entry.isSymbolicLink()) return `${place} is a link, and links are not followed`;
    const isLast = depth === steps.length;
    if (isLast ? !entry.isFile() : !entry.isDirectory()) return `${place} is ${isLast ? "not a file" : "not a folder"}`;
  }
  return undefined;
}

/** Hashes of existing files at the paths. @throws FolderRefused if something else is in the way */
function presentIn(root: string, paths: readonly string[], folder: string): Map<string, string> {
  const present = new Map<string, string>();
  for (const path of paths) {
    if (!isInside(path)) throw new FolderRefused(`“${path.slice(0, 100)}” would be written outside of ${folder}.`);
    const obstacle = obstacleTo(root, path);
    if (obstacle)
      throw new FolderRefused(`In ${folder}, ${obstacle}. Nothing was changed. Move it, or choose a different folder.`);
    const hash = hashAt(join(root, path));
    if (hash !== undefined) present.set(path, hash);
  }
  return present;
}

function hashAt(path: string): string | undefined {
  if (!entryAt(path)?.isFile()) return undefined;
  return createHash("sha256").update(readFileSync(path)).digest("hex");
}

interface Foreign {
  folder: string;
  root: string;
  content: FolderContent;
  list: FileList | undefined;
  next: Hashes;
  present: ReadonlyMap<string, string>;
}

/**
 * @throws FolderRefused if the folder is neither empty nor the tool's own, or files in it were changed by somebody
 * else
 */
function refuseForeign({ folder, root, content, list, next, present }: Foreign): void {
  const replaced = [...present].filter(([path, hash]) => hash !== next[path] && !isListed(list, path, hash));
  const names = replaced.map(([path]) => path);
  const would =
    names.length === 0
      ? "no file there would be replaced"
      : `${names.length === 1 ? "1 file" : `${names.length} files`} there would be replaced (${shortened(names)})`;
  if (!list && readdirSync(root).some((name) => name !== listName(content)))
    throw new FolderRefused(
      `${folder} contains files that are not from an earlier ${content === "shop" ? "export" : "handoff"}. Choose an empty folder, or add --into to write into this one: ${would}, and nothing is removed.`,
    );
  if (names.length > 0)
    throw new FolderRefused(
      `In ${folder}, ${shortened(names)} ${names.length === 1 ? "was" : "were"} changed or added since the last time. Copy what you need, then add --into to replace ${names.length === 1 ? "it" : "them"}.`,
    );
}

const shortened = (names: readonly string[]): string =>
  names.length > 3 ? `${names.slice(0, 3).join(", ")} and ${names.length - 3} more` : names.join(", ");

/** Removes temporary files left by an interrupted call. */
function removeParts(root: string, paths: readonly string[], token: string): void {
  for (const path of paths) {
    const part = partPath(path, token);
    if (isInside(path) && !obstacleTo(root, part)) removeFile(join(root, part));
  }
}
