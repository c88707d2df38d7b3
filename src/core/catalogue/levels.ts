import { identity } from "./identity.ts";
import { levelsOf, pathSeparator } from "./path.ts";

/** Level separators in category paths. Those with spaces ignore the same character within a name. */
export const levelMarks = [">", "»", "›", "→", " / ", "/", ":", " | "] as const;
export type LevelMark = (typeof levelMarks)[number];

/** Separators that hardly ever occur within a name. */
const plain: readonly LevelMark[] = [">", "»", "›", "→"];
/** Maximum share of lower levels that also occur as a top level; in lists of several values, many do. */
const maxBoth = 0.1;

/** Converts a path to the catalogue's own notation: `A / B` becomes `A > B`. */
export const normalizedPath = (path: string, mark: LevelMark): string => levelsOf(path, mark).join(pathSeparator);

/**
 * Guesses the level separator from the cells of a category column.
 * @returns undefined if paths have one level or use the catalogue's own separator
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
 * Whether splitting values at a separator yields a tree: most top levels have several children, and hardly any lower
 * level is also a top level. If the separator may also join several values, each lower level must have one parent
 * only.
 */
function formsTree(values: readonly string[], mark: LevelMark): boolean {
  const paths = values.map((value) => levelsOf(value, mark));
  const deep = paths.filter(({ length }) => length > 1);
  const firsts = new Set(paths.map(([first]) => first));
  const parents = new Set(deep.map(([first]) => first));
  // A single letter is part of a word, as in “A/C”.
  const whole = [...parents].every((first = "") => first.length > 1);
  if (!whole || deep.length < 2 || deep.length < parents.size * 1.5) return false;
  const above = new Map<string, Set<string>>();
  for (const path of deep)
    path.slice(1).forEach((level, at) => {
      above.set(level, (above.get(level) ?? new Set()).add(path.slice(0, at + 1).join(mark)));
    });
  const lower = [...above.keys()];
  const both = lower.filter((level) => firsts.has(level)).length;
  return both <= lower.length * maxBoth && (mark !== " | " || [...above.values()].every(({ size }) => size === 1));
}
