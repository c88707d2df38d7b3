/** What an attack came to. */
export interface Attacked {
  /** How often it was tried. */
  tries: number;
  /** What was lost, wrong or run, in sentences; nothing where all held. */
  failures: string[];
  /** What was measured beside it. */
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
