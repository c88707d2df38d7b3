import { apply, create } from "mutative";
import { difference } from "./difference.ts";
import type { Patch } from "./patch.ts";

/** One step of the designer: what it does in words, for the history, and how it changes a document. */
export interface Edit<D extends object> {
  words: string;
  /** Changes a draft in place; what it leaves alone stays the same object. */
  change(draft: D): void;
}

/** The result of an edit: the document after it, and the patches both ways. */
export interface Change<D> {
  document: D;
  patches: Patch[];
  inverse: Patch[];
}

/** Does an edit. The document that is passed stays as it is. @returns undefined when it changes nothing */
export function perform<D extends object>(document: D, edit: Pick<Edit<D>, "change">): Change<D> | undefined {
  const next = create(document, (draft) => edit.change(draft as D));
  const change = changeBetween(document, next);
  return change.patches.length === 0 ? undefined : change;
}

/** The patches from one state of a document to a different one, and back. */
export const changeBetween = <D extends object>(before: D, document: D): Change<D> => ({
  document,
  patches: difference(before, document),
  inverse: difference(document, before),
});

/** The document after some edits; the same object when they change nothing. */
export const edited = <D extends object>(document: D, ...edits: readonly Pick<Edit<D>, "change">[]): D =>
  edits.reduce((now, edit) => perform(now, edit)?.document ?? now, document);

/** The document with patches done to it; what they do not touch stays the same object. */
export const patched = <D extends object>(document: D, patches: readonly Patch[]): D =>
  apply(document, [...patches]) as D;

/** Several edits as one step. */
export const combineEdits = <D extends object>(words: string, edits: readonly Pick<Edit<D>, "change">[]): Edit<D> => ({
  words,
  change: (draft) => {
    for (const edit of edits) edit.change(draft);
  },
});
