import type { ContentfulStatusCode } from "hono/utils/http-status";
import { LRUCache } from "lru-cache";
import { limits } from "../core/sanitize/limits.ts";
import type { CacheKey } from "./cache-key.ts";
import { type CompressedBody, keepPacked } from "./compressed-body.ts";

/** A drawn page or an answer. */
export interface RenderedResponse {
  status: ContentfulStatusCode;
  text: string;
}

/** Caches responses by everything they depend on, compressed once. Evicts the least recently used. */
export class ResponseCache {
  #kept = new LRUCache<CacheKey, CompressedBody>({
    maxSize: limits.keptAnswers.max,
    sizeCalculation: ({ size }) => size,
  });
  #underWay = new Map<CacheKey, Promise<CompressedBody | RenderedResponse>>();

  /**
   * Returns the cached response or creates it. Concurrent requests for one key share the work.
   * @param name everything that the response depends on
   * @returns responses with a status other than 200 are not cached
   */
  async take(name: CacheKey, make: () => Promise<RenderedResponse>): Promise<CompressedBody | RenderedResponse> {
    const known = this.#kept.get(name) ?? this.#underWay.get(name);
    if (known) return known;
    const making = make().then((made) => {
      if (made.status !== 200) return made;
      return keepPacked(this.#kept, name, new TextEncoder().encode(made.text));
    });
    this.#underWay.set(name, making);
    try {
      return await making;
    } finally {
      this.#underWay.delete(name);
    }
  }
}
