/**
 * The value of a store under a key, created where it is missing.
 * @param most how many it keeps, for keys that a caller makes up; evicts the least recently used. No bound by
 * default.
 */
export function kept<T>(store: Map<string, T>, key: string, make: () => T, most: number = Number.POSITIVE_INFINITY): T {
  const known = store.get(key);
  const value = known ?? make();
  if (known !== undefined && most === Number.POSITIVE_INFINITY) return value;
  // A map keeps the order in which its keys were put in.
  store.delete(key);
  store.set(key, value);
  const [oldest] = store.keys();
  if (store.size > most && oldest !== undefined) store.delete(oldest);
  return value;
}
