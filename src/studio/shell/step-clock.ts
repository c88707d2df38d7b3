/** Gives each new step a time after all others of any document, even if the system clock was set back. */
export class StepClock {
  #latest = 0;

  /** Registers the times of existing steps. */
  know(times: readonly number[]): void {
    for (const at of times) this.#latest = Math.max(this.#latest, at);
  }

  now(): number {
    this.#latest = Math.max(Date.now(), this.#latest + 1);
    return this.#latest;
  }
}
