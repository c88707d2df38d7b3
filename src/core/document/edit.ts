import { apply, create } from "mutative";
import { difference } from "./difference.ts";
import type { Patch } from "./patch.ts";

/** One undoable step: its description for the history, and the change it makes. */
export interface Edit<D extends object> {
  words: string;
  /** Changes a draft in place; untouched branches remain the same objects. */
  change(draft: D): void;
}

/** The result of an edit: the new document, and the patches in both directions. */
export interface Change<D> {
  document: D;
  patches: Patch[];
  inverse: Patch[];
}

/** Applies an edit to a copy. @returns undefined if it changes nothing */
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

/** The document after some edits; the same object if they change nothing. */
export const edited = <D extends object>(document: D, ...edits: readonly Pick<Edit<D>, "change">[]): D =>
  edits.reduce((now, edit) => perform(now, edit)?.document ?? now, document);

/** The document with patches applied; untouched branches remain the same objects. */
export const patched = <D extends object>(document: D, patches: readonly Patch[]): D =>
  apply(document, [...patches]) as D;

/** Several edits as one step. */
export const combineEdits = <D extends object>(words: string, edits: readonly Pick<Edit<D>, "change">[]): Edit<D> => ({
  words,
  change: (draft) => {
    for (const edit of edits) edit.change(draft);
  },
});
