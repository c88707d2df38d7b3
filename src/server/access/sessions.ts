import { randomBytes } from "node:crypto";
import { LRUCache } from "lru-cache";
import { limits } from "../../core/sanitize/limits.ts";
import { hashOf } from "../hash.ts";

/** Duration of a session, in seconds. Common practice, no source. */
export const sessionSeconds = 30 * 24 * 3600;
const most = 1000;

const hashed = (token: string): string => hashOf(Buffer.from(token));

/** The signed-in sessions; only hashes are kept, in memory. */
export class Sessions {
  #open = new LRUCache<string, true>({ max: most, ttl: sessionSeconds * 1000 });

  /** @returns the token for the browser */
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
 * Limits concurrent password checks. A check uses the processor and one of the few threads for reading files, so that
 * requests beyond the limit are rejected at once.
 */
export class PasswordQueue {
  #places = new Set<string>();
  #underWay = 0;

  /** @returns ends the attempt; undefined if one from the same address is under way */
  enter(place: string): (() => void) | undefined {
    if (this.#places.has(place)) return undefined;
    this.#places.add(place);
    return () => void this.#places.delete(place);
  }

  /** Runs a check; undefined if the maximum number is under way. */
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

/** Delay of an attempt after failed ones from the same address, in ms: doubled each time, at most eight seconds. */
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
