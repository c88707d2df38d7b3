/**
 * Minimum share of products that must have moved from one name to the other; fewer if the spellings are similar.
 * Common practice, no source.
 */
const least = 0.6;
const minAlike = 0.3;
const nearlyAlike = 0.75;

/**
 * Whether something removed was probably renamed to something added.
 * @param share of the products that could have moved, those that did
 * @param alike similarity of the spellings, 0 to 1
 */
export const isRenamed = (share: number, alike: number): boolean =>
  share >= least || (alike >= nearlyAlike && share >= minAlike) || alike === 1;

/** Selects pairs in order, skipping those with a side that an earlier pair already uses. */
export function oneToOne<P>(pairs: readonly P[], from: (pair: P) => string, to: (pair: P) => string): P[] {
  const [gone, come] = [new Set<string>(), new Set<string>()];
  return pairs.filter((pair) => {
    if (gone.has(from(pair)) || come.has(to(pair))) return false;
    gone.add(from(pair));
    come.add(to(pair));
    return true;
  });
}
