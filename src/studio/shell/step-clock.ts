/** Gives each new step a time after all others that it knows, of whatever document, also where the clock was put back. */
export class StepClock {
  #latest = 0;

  /** Learns of steps that were made before. */
  know(times: readonly number[]): void {
    for (const at of times) this.#latest = Math.max(this.#latest, at);
  }

  now(): number {
    this.#latest = Math.max(Date.now(), this.#latest + 1);
    return this.#latest;
  }
}
