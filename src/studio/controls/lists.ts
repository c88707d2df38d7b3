/** A list with one entry moved. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const next = [...list];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
}

/** A list with one entry replaced. */
export const replaced = <T>(list: readonly T[], at: number, entry: T): T[] =>
  list.map((old, n) => (n === at ? entry : old));

/** A list without one entry. */
export const withoutEntry = <T>(list: readonly T[], at: number): T[] => list.filter((_, n) => n !== at);
