import { changeBetween, patched } from "./edit.ts";
import { checkDocument, type DocumentKind } from "./kind.ts";
import type { Step } from "./patch.ts";

/** A stored document with its steps; `done` is the number of the last step that is done. */
export interface WithSteps<D> {
  document: D;
  steps: Step[];
  done: number;
}

/**
 * A document of an older format in the present one, with its steps: each state that a step leads to is migrated, and
 * the step leads between the migrated states, so that undo never brings an older format back. Steps that change
 * nothing any more stay in the history. Where a state cannot be migrated, the steps beyond it are left out.
 * @throws InvalidDocument where the document itself is not valid
 */
export function upgraded<D extends object>(kind: DocumentKind<D>, stored: WithSteps<object>): WithSteps<D> {
  const document = checkDocument(kind, stored.document);
  const before = stored.steps.filter(({ n }) => n <= stored.done).reverse();
  const after = stored.steps.filter(({ n }) => n > stored.done);
  const walk = (steps: readonly Step[], way: "patches" | "inverse"): Step[] => {
    let [old, now] = [stored.document, document];
    const made: Step[] = [];
    for (const step of steps) {
      try {
        const next = patched(old, step[way]);
        const then = checkDocument(kind, next);
        const { patches, inverse } = way === "patches" ? changeBetween(now, then) : changeBetween(then, now);
        made.push({ ...step, patches, inverse });
        [old, now] = [next, then];
      } catch {
        break;
      }
    }
    return made;
  };
  return { document, steps: [...walk(before, "inverse").reverse(), ...walk(after, "patches")], done: stored.done };
}
