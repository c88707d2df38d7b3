/** After a failure it is asked again: first after this many ms, then after twice as long each time, up to a maximum. */
const firstPause = 1000;
const longestPause = 30_000;

/** An answer that takes longer than this many ms is shown as loading. */
const patience = 150;

/** The state of the latest question: answered, asked, asked long ago, or failed and to be asked again. */
export type Phase = "answered" | "asked" | "slow" | "failed";

/** Callbacks of a question while it is the latest. */
export interface QuestionListener<A> {
  /** It is answered, synchronously or later. */
  answered(answer: A, isAtOnce: boolean): void;
  /** Its answer comes later. */
  waits(): void;
  /** Its answer takes long. */
  slow(): void;
  /** It was not answered. */
  failed(): void;
  /** It is time to ask again, with {@link LatestQuestion.ask}. */
  again(): void;
}

/** Follows the latest of several questions; late answers to earlier ones are ignored. */
export class LatestQuestion {
  #turn = 0;
  #phase: Phase = "answered";
  #pause = firstPause;
  #timer: ReturnType<typeof setTimeout> | undefined;

  get phase(): Phase {
    return this.#phase;
  }

  /** Asks a new question. @param isAgain whether it is a retry, so that the next pause is longer */
  ask<A>(answer: A | Promise<A>, listening: QuestionListener<A>, isAgain = false): void {
    const turn = ++this.#turn;
    const isLatest = () => turn === this.#turn;
    clearTimeout(this.#timer);
    if (!isAgain) this.#pause = firstPause;
    if (!(answer instanceof Promise)) {
      this.#phase = "answered";
      listening.answered(answer, true);
      return;
    }
    this.#phase = "asked";
    listening.waits();
    this.#timer = setTimeout(() => {
      this.#phase = "slow";
      listening.slow();
    }, patience);
    answer.then(
      (found) => {
        if (!isLatest()) return;
        clearTimeout(this.#timer);
        this.#phase = "answered";
        listening.answered(found, false);
      },
      (error) => {
        if (!isLatest()) return;
        console.error(error);
        this.#phase = "failed";
        listening.failed();
        clearTimeout(this.#timer);
        this.#timer = setTimeout(() => listening.again(), this.#pause);
        this.#pause = Math.min(2 * this.#pause, longestPause);
      },
    );
  }
}
