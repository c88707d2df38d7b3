import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";

/** An engine that is still loading: earlier questions are answered when it is there. */
export class DeferredEngine implements Engine {
  #open: () => Promise<LocalEngine>;
  #here: LocalEngine | undefined;
  #coming: Promise<LocalEngine> | undefined;
  #arrive: () => void = () => {};
  /** Resolves when it is there. A failure does not settle it, since loading may be tried again. */
  readonly arrival = new Promise<void>((done) => {
    this.#arrive = done;
  });

  /** @param open loads it; called again by the next caller after a failure */
  constructor(open: () => Promise<LocalEngine>) {
    this.#open = open;
  }

  /** It, once it is there. */
  get here(): LocalEngine | undefined {
    return this.#here;
  }

  /** Starts loading it. @throws the reason for a failure */
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
