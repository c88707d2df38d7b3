import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question } from "../../core/engine/question.ts";

/** After opening its own engine has failed, a page waits this many ms before the next attempt. */
const pause = 20_000;

/**
 * Answers with one engine until the page's own is there, and with that from then on. Both give the same answers. If
 * its own fails, the first one answers again.
 */
export class RelayEngine implements Engine {
  #first: Engine;
  #own: Engine | undefined;
  #openOwn: (asked: Question) => Promise<Engine>;
  #asked: Question;
  /** Time of the last attempt to open its own engine. */
  #triedAt = Number.NEGATIVE_INFINITY;

  /**
   * @param first answers from the start
   * @param openOwn opens the page's own engine, warmed up for a question like the given one
   * @param asked the page's first question
   */
  constructor(first: Engine, openOwn: (asked: Question) => Promise<Engine>, asked: Question) {
    this.#first = first;
    this.#openOwn = openOwn;
    this.#asked = asked;
  }

  ask(question: Question): Answer | Promise<Answer> {
    this.#asked = question;
    if (!this.#own) {
      // Once the page has begun to fetch its own engine, every question is also an occasion to try again.
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
