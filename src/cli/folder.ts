import { closeSync, constants, fstatSync, openSync, readdirSync, readFileSync } from "node:fs";
import { join, relative, sep } from "node:path";
import { heightsName } from "../core/rehearsal/heights-file.ts";
import { limits, limitText } from "../core/sanitize/limits.ts";
import { readFolder } from "../core/shop/archive/read-folder.ts";
import {
  FolderFault,
  isOwnFile,
  maxBytes,
  maxFiles,
  ownFolders,
  type ShopFiles,
} from "../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../core/shop/archive/whole-shop.ts";
import { FolderRefused, type FolderWishes, writeOwnedFolder } from "../server/disk/owned-folder.ts";
import { UsageError } from "./usage-error.ts";

/** Whether a file is read: one of the shop's own, or the heights that a browser has measured. */
const isRead = (path: string): boolean => isOwnFile(path) || path === heightsName;

/** The files of a shop's folder. Links are not followed. @throws UsageError, FolderFault */
export function readFiles(folder: string): ShopFiles {
  const files = new Map<string, Uint8Array>();
  let bytes = 0;
  const take = (path: string) => {
    // Opened without waiting, since a named pipe would never answer.
    const handle = openSync(path, constants.O_RDONLY | constants.O_NOFOLLOW | constants.O_NONBLOCK);
    try {
      const stat = fstatSync(handle);
      if (!stat.isFile()) return;
      bytes += stat.size;
      if (files.size >= maxFiles || bytes > maxBytes)
        throw new FolderFault(
          ".",
          undefined,
          `The folder has more than ${limitText(limits.folderFiles)} files, or more than ${limitText(limits.folderBytes)}. Split the shop.`,
        );
      files.set(relative(folder, path).split(sep).join("/"), readFileSync(handle));
    } finally {
      closeSync(handle);
    }
  };
  try {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isFile() && isRead(entry.name)) take(path);
      else if (entry.isDirectory() && ownFolders().includes(entry.name))
        for (const one of readdirSync(path, { withFileTypes: true })) if (one.isFile()) take(join(path, one.name));
    }
  } catch (error) {
    if (error instanceof FolderFault) throw error;
    throw new UsageError(`${folder} can’t be read: ${reason(error)}.`);
  }
  return files;
}

/** The shop of a folder. @throws UsageError, FolderFault */
export const openFolder = (folder: string): WholeShop => readFolder(readFiles(folder));

/**
 * Writes files into a folder that the tool owns: see {@link writeOwnedFolder}.
 * @returns a sentence about obsolete files that were kept because somebody changed them; undefined if there are none
 * @throws UsageError
 */
export function writeFiles(folder: string, files: ShopFiles, wishes: FolderWishes): string | undefined {
  try {
    const changed = writeOwnedFolder(folder, files, wishes);
    return changed.length === 0
      ? undefined
      : `No longer part of the shop, but kept because they were changed: ${changed.join(", ")}.`;
  } catch (error) {
    if (error instanceof FolderRefused) throw new UsageError(error.message);
    throw new UsageError(`${folder} can’t be written: ${reason(error)}.`);
  }
}

/** The option that allows writing into a folder that contains other files. */
export const intoOption = { into: { type: "boolean", default: false } } as const;

function reason(error: unknown): string {
  const code = (error as NodeJS.ErrnoException).code;
  const known: Record<string, string> = {
    ENOENT: "there is no such folder",
    ENOTDIR: "it is not a folder",
    EACCES: "permission denied",
    ENOSPC: "the disk is full",
  };
  return known[code ?? ""] ?? code ?? "unknown reason";
}
