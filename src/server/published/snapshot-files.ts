import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { readFolder } from "../../core/shop/archive/read-folder.ts";
import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { writeDocuments } from "../../core/shop/archive/write-folder.ts";
import { hashOf } from "../hash.ts";
import { joinParts, partsOf } from "../store/catalogue-parts.ts";

const catalogueFolder = "catalogue/";

/** The files of a snapshot: by path the hash of the content, and the contents by their hash. */
export interface SnapshotFiles {
  files: Record<string, string>;
  contents: ReadonlyMap<string, Uint8Array>;
}

/** Whether two snapshots have the same content, in whatever order they list their files. */
export const isSameFiles = (a: SnapshotFiles["files"], b: SnapshotFiles["files"]): boolean =>
  Object.keys(a).length === Object.keys(b).length && Object.entries(a).every(([path, hash]) => b[path] === hash);

/** The files of a shop's snapshot: its documents and pictures, and its catalogue in parts. @param bytes of the catalogue */
export function snapshotFiles(whole: Parameters<typeof writeDocuments>[0], bytes: Uint8Array): SnapshotFiles {
  const contents = new Map<string, Uint8Array>();
  const files: Record<string, string> = {};
  const put = (path: string, content: Uint8Array) => {
    const hash = hashOf(content);
    contents.set(hash, content);
    files[path] = hash;
  };
  for (const [path, content] of writeDocuments(whole)) put(path, content);
  for (const [at, part] of partsOf(bytes).entries()) put(`${catalogueFolder}${String(at).padStart(5, "0")}`, part);
  return { files, contents };
}

/** The shop of a snapshot's files. @throws FolderFault, BinaryError */
export function openFiles(files: ShopFiles): WholeShop {
  const [documents, parts] = [new Map<string, Uint8Array>(), [] as Uint8Array[]];
  for (const [path, bytes] of files) {
    if (path.startsWith(catalogueFolder)) parts.push(bytes);
    else documents.set(path, bytes);
  }
  return readFolder(documents, decodeCatalogue(joinParts(parts)));
}
