import { LRUCache } from "lru-cache";
import type { CacheKey } from "../cache-key.ts";
import { writeCount } from "./write.ts";

/** Caches what was read until anything is written. */
export class WriteScopedCache<T> {
  #kept = new LRUCache<CacheKey, { at: number; value: Promise<T> }>({ max: 200 });

  /** @param read reads it again; a failure is not cached */
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
