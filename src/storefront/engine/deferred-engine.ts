import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";

/** An engine that is on its way: what is asked before it is there is answered when it is. */
export class DeferredEngine implements Engine {
  #open: () => Promise<LocalEngine>;
  #here: LocalEngine | undefined;
  #coming: Promise<LocalEngine> | undefined;
  #arrive: () => void = () => {};
  /** Ends when it is there. A failure on the way does not end it, since that may be tried again. */
  readonly arrival = new Promise<void>((done) => {
    this.#arrive = done;
  });

  /** @param open brings it; called again by who asks next after it has failed */
  constructor(open: () => Promise<LocalEngine>) {
    this.#open = open;
  }

  /** It, once it is there. */
  get here(): LocalEngine | undefined {
    return this.#here;
  }

  /** Sends for it. @throws what hinders it */
  fetch(): Promise<LocalEngine> {
    this.#coming ??= this.#open().then(
      (engine) => {
        this.#here = engine;
        this.#arrive();
        return engine;
      },
      (error) => {
        this.#coming = undefined;
        throw error;
      },
    );
    return this.#coming;
  }

  ask(question: Question): Answer | Promise<Answer> {
    return this.#here?.ask(question) ?? this.fetch().then((engine) => engine.ask(question));
  }
}
