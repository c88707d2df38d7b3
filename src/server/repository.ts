import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

/** The folder of the repository, both from the sources and from the build. */
export const repository: string = rootAbove(dirname(fileURLToPath(import.meta.url)));

/** Whether this is the build rather than the sources. */
export const isBuild: boolean = fileURLToPath(import.meta.url).startsWith(join(repository, "dist"));

function rootAbove(folder: string): string {
  if (existsSync(join(folder, "package.json")) || dirname(folder) === folder) return folder;
  return rootAbove(dirname(folder));
}
