/** A small seeded generator (mulberry32, public domain), so that the demo shop is the same on every machine. */
export class Random {
  #state: number;
  constructor(seed: number) {
    this.#state = seed >>> 0;
  }

  /** In [0, 1). */
  next(): number {
    this.#state = (this.#state + 0x6d2b79f5) >>> 0;
    let t = this.#state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** A whole number from `low` to `high`, both included. */
  whole(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1));
  }

  between(low: number, high: number): number {
    return low + this.next() * (high - low);
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)];
  }

  /** `count` different items in the list's order. */
  some<T>(list: readonly T[], count: number): T[] {
    const left = list.map((_, i) => i);
    while (left.length > count) left.splice(this.whole(0, left.length - 1), 1);
    return left.map((i) => list[i]);
  }
}
