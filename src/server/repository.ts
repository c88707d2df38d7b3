import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

/** The folder of the repository, from the sources and from what was built of them. */
export const repository: string = rootAbove(dirname(fileURLToPath(import.meta.url)));

function rootAbove(folder: string): string {
  if (existsSync(join(folder, "package.json")) || dirname(folder) === folder) return folder;
  return rootAbove(dirname(folder));
}
