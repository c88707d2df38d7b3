import { maxLevels } from "../sanitize/max-levels.ts";
/** Separates the levels of a category path. */
export const pathSeparator = " > ";

/** The levels of a path, trimmed, without empty ones. @param mark the separator */
export const levelsOf = (path: string, mark: string = pathSeparator): string[] =>
  path
    .split(mark)
    .map((level) => level.trim())
    .filter((level) => level !== "");

/** The parent of a path; empty for a top level. */
export const parentOf = (path: string): string => path.slice(0, Math.max(0, path.lastIndexOf(pathSeparator)));

/** The last level of a path. */
export const lastLevelOf = (path: string): string => path.split(pathSeparator).at(-1) ?? path;

/** `a > b > c` gives `a`, `a > b` and `a > b > c`. */
export function prefixes(path: string): string[] {
  // Limited, since a path of thousands of levels would make as many options, each as long as all above it.
  const levels = levelsOf(path).slice(0, maxLevels);
  return levels.map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}

/** The ancestors of a path, shortest first. */
export function ancestors(path: string): string[] {
  const levels = path.split(pathSeparator);
  return levels.slice(0, -1).map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}
