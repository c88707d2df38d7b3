import { zipSync } from "fflate";
import { unzip, ZipFault } from "../../sanitize/unzip.ts";
import { FolderFault, isOwnFile, maxBytes, maxFiles, type ShopFiles } from "./shop-files.ts";

/**
 * All files in a zip have the same time, so that the same shop gives the same bytes: the earliest time a zip can
 * express.
 */
const mtime = new Date(1980, 0, 1);

/** A shop's folder as one file. */
export const zipFolder = (files: ShopFiles): Uint8Array<ArrayBuffer> =>
  zipSync(Object.fromEntries([...files].map(([path, bytes]) => [path, bytes] as const)), { mtime, level: 6 });

/** Whether a path in a ZIP is wanted: a shop's files at its root, or in its one folder. */
const isWanted = (path: string): boolean =>
  !path.startsWith("schemas/") && (isOwnFile(path) || isOwnFile(path.slice(path.indexOf("/") + 1)));

/**
 * The files in a zip. Other files are not unpacked, and nothing is unpacked if its declared size exceeds a folder's
 * limits.
 * @throws FolderFault
 */
export function unzipFolder(bytes: Uint8Array): ShopFiles {
  let unpacked: Map<string, Uint8Array>;
  try {
    unpacked = unzip(bytes, isWanted, { maxFiles: maxFiles, maxBytes: maxBytes });
  } catch (error) {
    if (error instanceof ZipFault) throw new FolderFault(error.file ?? ".", undefined, error.message);
    throw error;
  }
  const names = [...unpacked.keys()];
  const manifest =
    ["shop.json", ...names].find((name) => /^(?:[^/]+\/)?shop\.json$/.test(name) && unpacked.has(name)) ?? "";
  const root = manifest.slice(0, Math.max(0, manifest.length - "shop.json".length));
  return new Map(
    [...unpacked].flatMap(([name, content]) =>
      name.startsWith(root) ? [[name.slice(root.length), content] as const] : [],
    ),
  );
}
