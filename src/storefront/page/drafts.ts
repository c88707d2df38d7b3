import type { Answer } from "../../core/engine/answer.ts";
import type { Selection } from "../../core/engine/question.ts";

/** Choices in a panel that wait for its button. */
export interface Draft {
  selection: Selection;
  /** The answer to them; the previous one until it is counted. */
  answer: Answer;
  counted: boolean;
}

/** By panel, the waiting selections with their latest answers; an answer to an earlier selection is ignored. */
export class Drafts {
  #wanting: Readonly<Record<string, Selection>> = {};
  readonly #put: (slug: string, draft: Draft) => void;

  /** @param put shows a draft */
  constructor(put: (slug: string, draft: Draft) => void) {
    this.#put = put;
  }

  /** A panel's waiting selection; undefined if there is none. */
  of(slug: string): Selection | undefined {
    return this.#wanting[slug];
  }

  /** Sets a waiting selection. @param before the answer to show until its own is there */
  wait(slug: string, selection: Selection, answer: Answer | Promise<Answer>, before: Answer): void {
    this.#wanting = { ...this.#wanting, [slug]: selection };
    const put = (found: Answer, counted: boolean) => {
      if (this.#wanting[slug] === selection) this.#put(slug, { selection, answer: found, counted });
    };
    if (!(answer instanceof Promise)) {
      put(answer, true);
      return;
    }
    // A choice shows at once; its count follows.
    put(before, false);
    answer.then(
      (found) => put(found, true),
      (error) => console.error(error),
    );
  }

  /** Discards waiting selections, in one panel or in all. */
  drop(slug?: string): void {
    const { [slug ?? ""]: _gone, ...others } = this.#wanting;
    this.#wanting = slug === undefined ? {} : others;
  }
}
