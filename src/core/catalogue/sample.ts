/** The golden ratio's fraction: its multiples are evenly spread and in step with no pattern in a file. */
const evenly = (Math.sqrt(5) - 1) / 2;

/**
 * About so many items, evenly spread over a list: the first rows of a file that is sorted, by a year or a brand for
 * instance, are not like the others. All of them if there are no more.
 */
export function spreadSample<T>(list: readonly T[], most: number): readonly T[] {
  const share = most / list.length;
  return share >= 1 ? list : list.filter((_, at) => (at * evenly) % 1 < share);
}
