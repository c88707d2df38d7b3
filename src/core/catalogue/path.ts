import { limits } from "../limits/limits.ts";

/** Separates the levels of a category path. */
export const pathSeparator = " > ";

/** `a > b > c` gives `a`, `a > b` and `a > b > c`. */
export function prefixes(path: string): string[] {
  const all = path
    .split(pathSeparator)
    .map((part) => part.trim())
    .filter((part) => part !== "");
  const { max } = limits.pathLevels;
  // A path of thousands of levels would make as many options, each as long as all above it.
  const levels = all.length > max ? [...all.slice(0, max - 1), all.slice(max - 1).join(" ")] : all;
  return levels.map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}
