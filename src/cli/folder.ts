import { lstatSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { dirname, join, relative, resolve, sep } from "node:path";
import { readFolder } from "../core/folder/read-folder.ts";
import { FolderFault, mostBytes, mostFiles, type ShopFiles } from "../core/folder/shop-files.ts";
import type { WholeShop } from "../core/folder/whole-shop.ts";
import { UsageError } from "./usage-error.ts";

/** Folders that a shop's folder has; what else stands beside them is nobody's affair here. */
const folders = new Set(["panels", "looks", "pictures"]);
const ownFile = /^(?:shop|mends|swatches|pages)\.json$|^catalogue\.csv$/;

/** The files of a shop's folder. Links are not followed. @throws UsageError, FolderFault */
export function readFiles(folder: string): ShopFiles {
  const files = new Map<string, Uint8Array>();
  let bytes = 0;
  const take = (path: string) => {
    const stat = lstatSync(path);
    if (!stat.isFile()) return;
    bytes += stat.size;
    if (files.size >= mostFiles || bytes > mostBytes)
      throw new FolderFault(
        ".",
        undefined,
        `It holds more than ${mostFiles} files, or more than ${mostBytes / 1e6} MB.`,
      );
    files.set(relative(folder, path).split(sep).join("/"), readFileSync(path));
  };
  try {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isFile() && ownFile.test(entry.name)) take(path);
      else if (entry.isDirectory() && folders.has(entry.name))
        for (const name of readdirSync(path)) take(join(path, name));
    }
  } catch (error) {
    if (error instanceof FolderFault) throw error;
    throw new UsageError(`${folder} cannot be read: ${reason(error)}.`);
  }
  return files;
}

/** The shop of a folder. @throws UsageError, FolderFault */
export const openFolder = (folder: string): WholeShop => readFolder(readFiles(folder));

/**
 * Writes files into a folder, made if need be. Each is there whole or as it was; files of before that a shop no
 * longer has are removed from the folders that are a shop's own.
 * @throws UsageError
 */
export function writeFiles(folder: string, files: ShopFiles, isStale: (path: string) => boolean = () => false): void {
  const root = resolve(folder);
  try {
    mkdirSync(root, { recursive: true });
    for (const [path, bytes] of files) {
      const place = resolve(root, path);
      if (!place.startsWith(root + sep)) throw new UsageError(`${path} would leave ${folder}.`);
      mkdirSync(dirname(place), { recursive: true });
      const half = `${place}.half`;
      writeFileSync(half, bytes);
      renameSync(half, place);
    }
    for (const entry of readdirSync(root, { recursive: true, encoding: "utf8" })) {
      const path = entry.split(sep).join("/");
      if (!files.has(path) && isStale(path)) rmSync(join(root, entry));
    }
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(`${folder} cannot be written: ${reason(error)}.`);
  }
}

/** Whether a path in a shop's folder is a document or a picture that an earlier export has left. */
export const isShopFile = (path: string): boolean => /^(?:panels|looks)\/[^/]+\.json$|^pictures\/[^/]+$/.test(path);

function reason(error: unknown): string {
  const code = (error as NodeJS.ErrnoException).code;
  const known: Record<string, string> = {
    ENOENT: "there is no such folder",
    ENOTDIR: "it is no folder",
    EACCES: "this account may not",
    ENOSPC: "the disk is full",
  };
  return known[code ?? ""] ?? code ?? "unknown reason";
}
