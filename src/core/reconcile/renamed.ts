/** Share of products that must have gone along; where the two are spelt nearly alike, fewer must. Common practice, no source. */
const least = 0.6;
const leastAlike = 0.3;
const nearlyAlike = 0.75;

/**
 * Whether what is gone probably is what came, under another name.
 * @param share of the products that could have gone along, those that did
 * @param alike how nearly the two are spelt alike, 0 to 1
 */
export const isRenamed = (share: number, alike: number): boolean =>
  share >= least || (alike >= nearlyAlike && share >= leastAlike) || alike === 1;

/** Of pairs, the surest first, those of which neither side belongs to a surer one. */
export function oneToOne<P>(pairs: readonly P[], from: (pair: P) => string, to: (pair: P) => string): P[] {
  const [gone, come] = [new Set<string>(), new Set<string>()];
  return pairs.filter((pair) => {
    if (gone.has(from(pair)) || come.has(to(pair))) return false;
    gone.add(from(pair));
    come.add(to(pair));
    return true;
  });
}
