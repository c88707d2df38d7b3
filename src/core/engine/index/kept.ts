/**
 * What a store has under a key, made where it has none.
 * @param most how many it keeps, for keys that an asker makes up; the one asked for longest ago goes. No bound by default.
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
