import { LRUCache } from "lru-cache";
import type { CacheKey } from "../cache-key.ts";
import { writeCount } from "./write.ts";

/** Remembers what was read, for as long as nothing is written at all. */
export class WriteScopedCache<T> {
  #kept = new LRUCache<CacheKey, { at: number; value: Promise<T> }>({ max: 200 });

  /** @param read reads it anew; where it fails nothing is remembered */
  get(key: CacheKey, read: () => Promise<T>): Promise<T> {
    const at = writeCount();
    const known = this.#kept.get(key);
    if (known?.at === at) return known.value;
    const value = read();
    this.#kept.set(key, { at, value });
    value.catch(() => this.#kept.delete(key));
    return value;
  }
}
