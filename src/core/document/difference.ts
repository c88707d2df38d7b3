import { isPlain } from "./is-plain.ts";
import type { Patch } from "./patch.ts";

type Path = Patch["path"];

/** Members that patches must not contain; mutative rejects them. */
const unsafe: ReadonlySet<string> = new Set(["__proto__", "constructor", "prototype"]);

/**
 * The patches between two states of a document. Unchanged branches are shared objects and are skipped. Entries of a
 * list that only moved are left alone: mutative's own patches would copy them, so that nothing after a removed row
 * would remain the same object.
 */
export function difference(before: unknown, after: unknown, path: Path = []): Patch[] {
  if (Object.is(before, after)) return [];
  if (Array.isArray(before) && Array.isArray(after)) return listDifference(before, after, path);
  if (!isPlain(before) || !isPlain(after)) return [{ op: "replace", path, value: after }];
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  const patches: Patch[] = [];
  for (const key of keys) {
    const at = [...path, key];
    const [was, is] = [before[key], after[key]];
    if (!Object.hasOwn(after, key) || is === undefined) {
      if (Object.hasOwn(before, key) && was !== undefined) patches.push({ op: "remove", path: at });
    } else if (!Object.hasOwn(before, key) || was === undefined) patches.push({ op: "add", path: at, value: is });
    else patches.push(...difference(was, is, at));
  }
  const blocked = patches.some((patch) => unsafe.has(String(patch.path[path.length])));
  return blocked ? [{ op: "replace", path, value: after }] : patches;
}

function listDifference(before: readonly unknown[], after: readonly unknown[], path: Path): Patch[] {
  const kept = keptEntries(before, after);
  const patches: Patch[] = [];
  let at = 0;
  let old = 0;
  let now = 0;
  for (const [oldStop, nowStop] of [...kept, [before.length, after.length] as const]) {
    // Between two kept entries, an entry at the same index with the same id has changed; the others were added or
    // removed.
    while (old < oldStop || now < nowStop) {
      const [was, is] = [before[old], after[now]];
      if (old < oldStop && now < nowStop && isSameEntry(was, is)) {
        patches.push(...difference(was, is, [...path, at]));
        old++;
        now++;
        at++;
      } else if (old < oldStop) {
        patches.push({ op: "remove", path: [...path, at] });
        old++;
      } else {
        patches.push({ op: "add", path: [...path, at], value: is });
        now++;
        at++;
      }
    }
    old++;
    now++;
    at++;
  }
  return patches;
}

/** Whether two entries are versions of the same one: with the same id, or both without. */
function isSameEntry(was: unknown, is: unknown): boolean {
  if (!isPlain(was) || !isPlain(is)) return Array.isArray(was) && Array.isArray(is);
  return was.id === is.id;
}

/** Index pairs of entries that are identical in both lists and keep their order: as many as possible. */
function keptEntries(before: readonly unknown[], after: readonly unknown[]): (readonly [number, number])[] {
  const places = new Map<unknown, number[]>();
  before.forEach((entry, at) => {
    const known = places.get(entry);
    if (known) known.push(at);
    else places.set(entry, [at]);
  });
  const pairs = after.flatMap((entry, now) => {
    const old = places.get(entry)?.shift();
    return old === undefined ? [] : [[old, now] as const];
  });
  return longestRising(pairs);
}

/**
 * The longest subsequence of pairs in which the second numbers increase. Source: patience sorting, as for the longest
 * increasing subsequence.
 */
function longestRising(pairs: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const tails: number[] = [];
  const before: (number | undefined)[] = [];
  const first = (at: number | undefined) => (at === undefined ? -1 : (pairs[at]?.[0] ?? -1));
  pairs.forEach(([place], at) => {
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (first(tails[middle]) < place) low = middle + 1;
      else high = middle;
    }
    before[at] = tails[low - 1];
    tails[low] = at;
  });
  const result: (readonly [number, number])[] = [];
  for (let at = tails.at(-1); at !== undefined; at = before[at]) {
    const pair = pairs[at];
    if (pair) result.unshift(pair);
  }
  return result;
}
