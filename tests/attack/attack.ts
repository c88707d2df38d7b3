/** The result of an attack. */
export interface Attacked {
  /** How often it was tried. */
  tries: number;
  /** The failures, in sentences; none where all was well. */
  failures: string[];
  /** Further measurements. */
  measured: string;
}

/** One kind of attack, in a file of its own. */
export interface Attack {
  name: string;
  /** @param share of its usual number of tries */
  run(share: number): Promise<Attacked>;
}

/** So many of a number of tries, at least one. */
export const some = (most: number, share: number): number => Math.max(1, Math.round(most * share));
