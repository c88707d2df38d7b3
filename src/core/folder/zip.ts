import { unzipSync, zipSync } from "fflate";
import { FolderFault, mostBytes, mostFiles, type ShopFiles } from "./shop-files.ts";

/** All files of a zip have this time, so that the same shop is the same zip. It is the first that a zip can say. */
const mtime = new Date(1980, 0, 1);

/** A shop's folder as one file. */
export const zipFolder = (files: ShopFiles): Uint8Array<ArrayBuffer> =>
  zipSync(Object.fromEntries([...files].map(([path, bytes]) => [path, bytes] as const)), { mtime, level: 6 });

/** The files of a shop's folder in a zip: at its root, or in the one folder that is there. Schemas are called like them. */
const known =
  /^(?!schemas\/)(?:[^/]+\/)?(?:(?:shop|mends|swatches|pages)\.json|catalogue\.csv|(?:panels|looks|pictures)\/[^/]+)$/;

/**
 * The files of a zip. What is not a shop's own is not even unpacked, and nothing is where it says more than a folder
 * may hold.
 * @throws FolderFault
 */
export function unzipFolder(bytes: Uint8Array): ShopFiles {
  let [count, size] = [0, 0];
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(bytes, {
      filter({ name, originalSize }) {
        if (/(?:^|[/\\])\.\.(?:[/\\]|$)|^[/\\]|^[a-z]:|\\|\0/i.test(name))
          throw new FolderFault(name.slice(0, 100), undefined, "This name leads out of the folder.");
        if (!known.test(name)) return false;
        count++;
        size += originalSize;
        if (count > mostFiles || size > mostBytes)
          throw new FolderFault(
            ".",
            undefined,
            `It holds more than ${mostFiles} files, or more than ${mostBytes / 1e6} MB.`,
          );
        return true;
      },
    });
  } catch (error) {
    if (error instanceof FolderFault) throw error;
    throw new FolderFault(".", undefined, "This is no zip file that can be opened. Zip the shop’s folder again.");
  }
  const names = Object.keys(unpacked);
  const manifest =
    ["shop.json", ...names].find((name) => /^(?:[^/]+\/)?shop\.json$/.test(name) && unpacked[name]) ?? "";
  const root = manifest.slice(0, Math.max(0, manifest.length - "shop.json".length));
  return new Map(
    Object.entries(unpacked).flatMap(([name, content]) =>
      name.startsWith(root) ? [[name.slice(root.length), content] as const] : [],
    ),
  );
}
