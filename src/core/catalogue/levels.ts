import { identity } from "./identity.ts";
import { levelsOf, pathSeparator } from "./path.ts";

/** Marks between the levels of a path, as files write them. Those with spaces leave the same mark within a name alone. */
export const levelMarks = [">", "»", "›", "→", " / ", "/", ":", " | "] as const;
export type LevelMark = (typeof levelMarks)[number];

/** Marks that hardly a name holds. */
const plain: readonly LevelMark[] = [">", "»", "›", "→"];
/** Share of lower levels that may also be a first one; in lists of several values, many are. */
const mostBoth = 0.1;

/** A path whose levels are separated by a mark, in the catalogue’s own writing: `A / B` is `A > B`. */
export const normalizedPath = (path: string, mark: LevelMark): string => levelsOf(path, mark).join(pathSeparator);

/**
 * Guesses from the cells of a category column which mark separates the levels of its paths.
 * @returns undefined where they have one level, or are written as the catalogue format has it
 */
export function guessLevels(cells: readonly string[]): LevelMark | undefined {
  const values = [...new Set(cells.map(identity))];
  const found =
    plain.find((mark) => values.some((value) => levelsOf(value, mark).length > 1)) ??
    levelMarks.find((mark) => !plain.includes(mark) && formsTree(values, mark));
  const isOwn = found === ">" && values.every((value) => normalizedPath(value, ">") === value);
  return isOwn ? undefined : found;
}

/**
 * Whether values split at a mark form a tree: most first levels have several below them, and hardly a lower level is
 * also a first one. Where the mark joins several values as well, a lower level must lie below one other.
 */
function formsTree(values: readonly string[], mark: LevelMark): boolean {
  const paths = values.map((value) => levelsOf(value, mark));
  const deep = paths.filter(({ length }) => length > 1);
  const firsts = new Set(paths.map(([first]) => first));
  const parents = new Set(deep.map(([first]) => first));
  // A single letter is half of a word, as in “A/C”.
  const whole = [...parents].every((first = "") => first.length > 1);
  if (!whole || deep.length < 2 || deep.length < parents.size * 1.5) return false;
  const above = new Map<string, Set<string>>();
  for (const path of deep)
    path.slice(1).forEach((level, at) => {
      above.set(level, (above.get(level) ?? new Set()).add(path.slice(0, at + 1).join(mark)));
    });
  const lower = [...above.keys()];
  const both = lower.filter((level) => firsts.has(level)).length;
  return both <= lower.length * mostBoth && (mark !== " | " || [...above.values()].every(({ size }) => size === 1));
}
