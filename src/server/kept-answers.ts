import type { ContentfulStatusCode } from "hono/utils/http-status";
import { LRUCache } from "lru-cache";
import { Packed } from "./packed.ts";

/** Bytes that are kept of what was drawn or answered. */
const most = 64 * 1024 * 1024;

/** What was drawn or answered. */
export interface Made {
  status: ContentfulStatusCode;
  text: string;
}

/** What was drawn or answered, by all that it hangs on, packed once for all who ask. Those used longest ago go first. */
export class KeptAnswers {
  #kept = new LRUCache<string, Packed>({ maxSize: most, sizeCalculation: ({ bytes }) => bytes.length + 1000 });
  #underWay = new Map<string, Promise<Packed | Made>>();

  /**
   * What is kept by a name, or what is made. Who asks for the same meanwhile waits for the same.
   * @param name names everything that the answer hangs on
   * @returns what was made as it is where its status is not 200; that is not kept
   */
  async take(name: string, make: () => Promise<Made>): Promise<Packed | Made> {
    const known = this.#kept.get(name) ?? this.#underWay.get(name);
    if (known) return known;
    const making = make().then((made) => {
      if (made.status !== 200) return made;
      const packed = new Packed(new TextEncoder().encode(made.text));
      this.#kept.set(name, packed);
      return packed;
    });
    this.#underWay.set(name, making);
    try {
      return await making;
    } finally {
      this.#underWay.delete(name);
    }
  }
}
