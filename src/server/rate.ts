/** Limits how often something may happen in ten seconds, by name. */
export class Rate {
  #max: number;
  #now = 0;
  #counts = new Map<string, number>();

  constructor(max: number) {
    this.#max = max;
  }

  /** Counts it once more. @returns whether it is within the limit */
  takes(name: string): boolean {
    const now = Math.floor(Date.now() / 10_000);
    if (now !== this.#now) {
      this.#counts.clear();
      this.#now = now;
    }
    const count = (this.#counts.get(name) ?? 0) + 1;
    this.#counts.set(name, count);
    return count <= this.#max;
  }
}
