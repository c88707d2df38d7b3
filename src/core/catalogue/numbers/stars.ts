import type { Range } from "./range-schema.ts";

/** Stars that a rating is shown in. */
export const maxStars = 5;

/** Points of one star: ratings of more than five are points of ten. Common practice, no source. */
export const pointsPerStar = (best: number): number => (best > maxStars ? 2 : 1);

/** Ranges from four stars and up down to one, over ratings of five or of ten. @param ratings all that there are */
export function starRanges(ratings: ArrayLike<number>): Range[] {
  let best = 0;
  for (let i = 0; i < ratings.length; i++) best = Math.max(best, ratings[i] ?? 0);
  const points = pointsPerStar(best);
  return [4, 3, 2, 1].map((stars) => ({ min: stars * points }));
}
