import type { Range } from "./range-schema.ts";

/** Number of stars in which a rating is shown. */
export const maxStars = 5;

/** Points per star: ratings above five are on a scale of ten. Common practice, no source. */
export const pointsPerStar = (best: number): number => (best > maxStars ? 2 : 1);

/** Ranges from four stars and up down to one, for ratings out of five or ten. @param ratings all ratings */
export function starRanges(ratings: ArrayLike<number>): Range[] {
  let best = 0;
  for (let i = 0; i < ratings.length; i++) best = Math.max(best, ratings[i] ?? 0);
  const points = pointsPerStar(best);
  return [4, 3, 2, 1].map((stars) => ({ min: stars * points }));
}
