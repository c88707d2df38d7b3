/** A difference between two states of a shop. */
export interface Difference {
  /** The document it is in, like “Panel Climber finder”; differences with the same place are listed together. */
  where: string;
  /** The change, in one sentence without a full stop. */
  words: string;
}

/** Deep equality of plain values; undefined members equal absent ones. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].every((key) => same(left[key], right[key]));
}

/** The names of members that differ between two objects. */
export function differing(a: object, b: object): string[] {
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].filter((key) => !same(left[key], right[key]));
}

export const quoted = (text: string): string => `“${text.length > 80 ? `${text.slice(0, 79)}…` : text}”`;

/** A few names, and the number of others. */
export function shortenedList(names: readonly string[], most = 5): string {
  const shown = names.slice(0, most).map(quoted).join(", ");
  return names.length > most ? `${shown} and ${names.length - most} more` : shown;
}

/** The longest sequence of items in the same order in both lists, so that as few as possible are reported as moved. */
function steady(ids: readonly string[]): (places: ReadonlyMap<string, number>) => Set<string> {
  return (places) => {
    const best: { id: string; length: number; before: number }[] = [];
    ids.forEach((id, at) => {
      let [length, before] = [1, -1];
      for (let n = 0; n < at; n++) {
        const one = best[n];
        if (one && (places.get(one.id) ?? 0) < (places.get(id) ?? 0) && one.length + 1 > length)
          [length, before] = [one.length + 1, n];
      }
      best.push({ id, length, before });
    });
    const kept = new Set<string>();
    let at = best.reduce((most, one, n) => (one.length > (best[most]?.length ?? 0) ? n : most), 0);
    for (let one = best[at]; one; one = best[at]) {
      kept.add(one.id);
      at = one.before;
    }
    return kept;
  };
}

/** Longer lists are not searched for moved items. */
const maxMoved = 2000;

/**
 * The changes of a list's items: added, removed, moved, and for kept ones the result of `inside`.
 * @param nameOf the name of an item in a sentence
 */
export function* listDifferences<T>(
  before: readonly T[],
  after: readonly T[],
  idOf: (item: T) => string,
  nameOf: (item: T) => string,
  inside: (before: T, after: T) => Iterable<string>,
): Generator<string> {
  const old = new Map(before.map((item) => [idOf(item), item]));
  const now = new Map(after.map((item) => [idOf(item), item]));
  for (const [id, item] of now) if (!old.has(id)) yield `${nameOf(item)} was added`;
  for (const [id, item] of old) if (!now.has(id)) yield `${nameOf(item)} was removed`;
  const stayed = [...now.keys()].filter((id) => old.has(id));
  const places = new Map([...old.keys()].map((id, at) => [id, at]));
  const kept = stayed.length > maxMoved ? new Set(stayed) : steady(stayed)(places);
  for (const id of stayed) {
    const [was, is] = [old.get(id) as T, now.get(id) as T];
    if (!kept.has(id)) yield `${nameOf(is)} was moved`;
    if (!same(was, is)) yield* inside(was, is);
  }
}
