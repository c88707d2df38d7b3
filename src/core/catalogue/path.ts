/** Separates the levels of a category path. */
export const pathSeparator = " > ";

/** Levels of a path that are options; deeper ones are not. */
export const mostLevels = 50;

/** `a > b > c` gives `a`, `a > b` and `a > b > c`. */
export function prefixes(path: string): string[] {
  const levels = path
    .split(pathSeparator)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    // A path of thousands of levels would make as many options, each as long as all above it.
    .slice(0, mostLevels);
  return levels.map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}
