import { changeBetween, patched } from "./edit.ts";
import { checkDocument, type DocumentKind } from "./kind.ts";
import type { Step } from "./patch.ts";

/** A stored document with its steps; `done` is the number of the last step not undone. */
export interface WithSteps<D> {
  document: D;
  steps: Step[];
  done: number;
}

/**
 * Migrates a document and its steps to the present format: each state between steps is migrated and the patches are
 * computed anew, so that undo never restores an older format. Steps that no longer change anything stay in the
 * history. If a state cannot be migrated, the steps beyond it are dropped.
 * @throws InvalidDocument if the document itself is invalid
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
