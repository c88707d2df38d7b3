/**
 * The value under a key, created if missing.
 * @param most maximum number of entries, evicting the least recently used; needed if callers make up the keys.
 * Default: unlimited.
 */
export function kept<T>(store: Map<string, T>, key: string, make: () => T, most: number = Number.POSITIVE_INFINITY): T {
  const known = store.get(key);
  const value = known ?? make();
  if (known !== undefined && most === Number.POSITIVE_INFINITY) return value;
  // A map iterates in insertion order, so re-inserting marks the entry as recently used.
  store.delete(key);
  store.set(key, value);
  const [oldest] = store.keys();
  if (store.size > most && oldest !== undefined) store.delete(oldest);
  return value;
}
