/** Parts the levels of a category path. */
export const pathSeparator = " > ";

/** `a > b > c` gives `a`, `a > b` and `a > b > c`. */
export function prefixes(path: string): string[] {
  const levels = path
    .split(pathSeparator)
    .map((part) => part.trim())
    .filter((part) => part !== "");
  return levels.map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}
