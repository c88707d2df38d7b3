import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question } from "../../core/engine/question.ts";

/**
 * After an engine of the page's own could not be opened or has failed, it is tried again no sooner than this many ms
 * later.
 */
const pause = 20_000;

/**
 * Answers by one engine until the page's own is there, and by that from then on. Both give the same answers, so nobody
 * sees the change. Where its own fails, the first one answers again.
 */
export class RelayEngine implements Engine {
  #first: Engine;
  #own: Engine | undefined;
  #openOwn: (asked: Question) => Promise<Engine>;
  #asked: Question;
  /** Since when an own engine is being opened, or was tried in vain. */
  #triedAt = Number.NEGATIVE_INFINITY;

  /**
   * @param first answers from the start
   * @param openOwn brings the page's own engine, ready to answer a question like the one given at once
   * @param asked what is asked on the page at first
   */
  constructor(first: Engine, openOwn: (asked: Question) => Promise<Engine>, asked: Question) {
    this.#first = first;
    this.#openOwn = openOwn;
    this.#asked = asked;
  }

  ask(question: Question): Answer | Promise<Answer> {
    this.#asked = question;
    if (!this.#own) {
      // Once the page has begun to fetch its own engine, every question is also an occasion to try that again.
      if (Number.isFinite(this.#triedAt)) this.fetchOwn();
      return this.#first.ask(question);
    }
    const answer = this.#own.ask(question);
    return answer instanceof Promise ? answer.catch(() => this.#fallBack(question)) : answer;
  }

  /** Begins to open the page's own engine; where that is under way or has failed just now, nothing happens. */
  fetchOwn(): void {
    if (performance.now() - this.#triedAt < pause) return;
    this.#triedAt = performance.now();
    this.#openOwn(this.#asked).then(
      (own) => {
        this.#own = own;
      },
      (error: unknown) => console.error(error),
    );
  }

  #fallBack(question: Question): Answer | Promise<Answer> {
    this.#own = undefined;
    this.#triedAt = performance.now();
    return this.#first.ask(question);
  }
}
