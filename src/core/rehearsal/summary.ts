import { quantileSorted } from "d3-array";
import type { Ending, Walk } from "./walk.ts";

/** Median and 90th percentile; both 0 for no values. */
export interface Spread {
  median: number;
  p90: number;
}

/** The use of a facet. */
export interface Use {
  row: string;
  /** Share of shoppers who chose in it. */
  share: number;
  /** Median number of products before and after those choices. */
  before: number;
  after: number;
  /** Share of shoppers who met a dead end in it. */
  deadEnds: number;
}

/** The results of a rehearsal. Moves, seconds and px count only shoppers who find their product. */
export interface Summary {
  shoppers: number;
  /** Shares of all shoppers. */
  endings: Record<Ending, number>;
  moves: Spread;
  seconds: Spread;
  px: Spread;
  /** Share of shoppers who met a dead end, and dead ends per shopper. */
  stuck: number;
  deadEnds: number;
  /** Most used first. */
  uses: Use[];
}

const spreadOf = (values: readonly number[]): Spread => {
  const sorted = [...values].sort((a, b) => a - b);
  return { median: quantileSorted(sorted, 0.5) ?? 0, p90: quantileSorted(sorted, 0.9) ?? 0 };
};

/** The share of walks that arrive; 0 for none. */
export const successRate = (walks: readonly Walk[]): number =>
  walks.filter(({ ending }) => ending === "arrived").length / Math.max(1, walks.length);

/** The summary of walks. */
export function summaryOf(walks: readonly Walk[]): Summary {
  const n = Math.max(1, walks.length);
  const there = walks.filter(({ ending }) => ending === "arrived");
  const share = (of: (walk: Walk) => boolean) => walks.filter(of).length / n;
  const rows = new Set(walks.flatMap(({ moves, deadEnds }) => [...moves, ...deadEnds].map(({ row }) => row)));
  const uses = [...rows].map((row): Use => {
    const moves = walks.flatMap((one) => one.moves.filter((move) => move.row === row));
    return {
      row,
      share: share((one) => one.moves.some((move) => move.row === row)),
      before: spreadOf(moves.map(({ before }) => before)).median,
      after: spreadOf(moves.map(({ after }) => after)).median,
      deadEnds: share((one) => one.deadEnds.some((end) => end.row === row)),
    };
  });
  return {
    shoppers: walks.length,
    endings: {
      arrived: successRate(walks),
      "nothing helps": share(({ ending }) => ending === "nothing helps"),
      patience: share(({ ending }) => ending === "patience"),
    },
    moves: spreadOf(there.map(({ moves }) => moves.length)),
    seconds: spreadOf(there.map(({ seconds }) => seconds)),
    px: spreadOf(there.map(({ px }) => px)),
    stuck: share(({ deadEnds }) => deadEnds.length > 0),
    deadEnds: walks.reduce((sum, { deadEnds }) => sum + deadEnds.length, 0) / n,
    uses: uses.sort((a, b) => b.share - a.share || (a.row < b.row ? -1 : 1)),
  };
}
