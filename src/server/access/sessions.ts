import { randomBytes } from "node:crypto";
import { LRUCache } from "lru-cache";
import { limits } from "../../core/sanitize/limits.ts";
import { hashOf } from "../hash.ts";

/** How long somebody stays signed in, in seconds. Common practice, no source. */
export const sessionSeconds = 30 * 24 * 3600;
const most = 1000;

const hashed = (token: string): string => hashOf(Buffer.from(token));

/** The signed-in sessions; only hashes are kept, and only as long as the server runs. */
export class Sessions {
  #open = new LRUCache<string, true>({ max: most, ttl: sessionSeconds * 1000 });

  /** @returns what the browser holds from now on */
  begin(): string {
    const token = randomBytes(32).toString("base64url");
    this.#open.set(hashed(token), true);
    return token;
  }

  has(token: string | undefined): boolean {
    return token !== undefined && this.#open.has(hashed(token));
  }

  end(token: string | undefined): void {
    if (token !== undefined) this.#open.delete(hashed(token));
  }
}

/**
 * How many passwords are checked at once. A check takes the processor and one of the few threads that files are read
 * with, so whoever comes beyond the limit is sent away at once.
 */
export class PasswordQueue {
  #places = new Set<string>();
  #underWay = 0;

  /** @returns ends the try; undefined if one from the same place is under way */
  enter(place: string): (() => void) | undefined {
    if (this.#places.has(place)) return undefined;
    this.#places.add(place);
    return () => void this.#places.delete(place);
  }

  /** Does a check; undefined if as many as may be are under way. */
  async within<T>(check: () => Promise<T>): Promise<T | undefined> {
    if (this.#underWay >= limits.passwordChecks.max) return undefined;
    this.#underWay++;
    try {
      return await check();
    } finally {
      this.#underWay--;
    }
  }
}

/** How long a try waits after wrong ones from the same place, in ms: twice as long each time, at most eight seconds. */
export class LoginDelays {
  #wrong = new LRUCache<string, number>({ max: 10_000, ttl: 3600_000 });

  pauseFor(place: string): number {
    const wrong = this.#wrong.get(place) ?? 0;
    return wrong === 0 ? 0 : Math.min(8000, 250 * 2 ** (wrong - 1));
  }

  wrong(place: string): void {
    this.#wrong.set(place, (this.#wrong.get(place) ?? 0) + 1);
  }

  right(place: string): void {
    this.#wrong.delete(place);
  }
}
