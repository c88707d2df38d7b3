import type { Answer } from "../../core/engine/answer.ts";
import type { Selection } from "../../core/engine/question.ts";

/** What is chosen in a panel and waits for its button. */
export interface Draft {
  selection: Selection;
  /** The answer to it; that of before while it is not counted yet. */
  answer: Answer;
  counted: boolean;
}

/** By panel, the selections that wait, with their latest answers; an answer to an earlier selection is skipped. */
export class Drafts {
  #wanting: Readonly<Record<string, Selection>> = {};
  readonly #put: (slug: string, draft: Draft) => void;

  /** @param put shows a draft */
  constructor(put: (slug: string, draft: Draft) => void) {
    this.#put = put;
  }

  /** What waits in a panel; undefined if nothing does. */
  of(slug: string): Selection | undefined {
    return this.#wanting[slug];
  }

  /** Lets a selection wait. @param before the answer to show until its own is there */
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

  /** Drops what waits, in one panel or in all. */
  drop(slug?: string): void {
    const { [slug ?? ""]: _gone, ...others } = this.#wanting;
    this.#wanting = slug === undefined ? {} : others;
  }
}
