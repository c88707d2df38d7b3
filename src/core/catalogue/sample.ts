/**
 * Up to so many items, evenly spread over a list: the first rows of a file that is sorted, by a year or a brand for
 * instance, are not like the others.
 */
export function spreadSample<T>(list: readonly T[], most: number): readonly T[] {
  if (list.length <= most) return list;
  return Array.from({ length: most }, (_, n) => list[Math.floor((n * list.length) / most)] as T);
}
