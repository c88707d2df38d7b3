import { useMemo, useSyncExternalStore } from "react";
import type { Step } from "../../core/document/patch.ts";
import type { DocumentStore } from "./document-store.ts";

/** The history of a view: undo and redo over all documents that it changes. */
export interface History {
  /** The latest last. */
  past: readonly Step[];
  /** Undone steps, the next to redo first. */
  future: readonly Step[];
  undo(): void;
  redo(): void;
}

/** The part of a document's store needed for its history. */
export type Stepped = Pick<DocumentStore<object>, "getState" | "subscribe">;

/** A common history of several documents, ordered by the times of their steps, even after a reload. */
export function historyOf(stores: readonly Pick<Stepped, "getState">[]): History {
  const states = stores.map((store) => store.getState());
  const inOrder = (a: Step, b: Step) => a.at - b.at;
  return {
    past: states.flatMap(({ past }) => past).sort(inOrder),
    future: states.flatMap(({ future }) => future).sort(inOrder),
    undo() {
      const now = stores.map((store) => store.getState());
      const order = ({ past }: (typeof now)[number]) => past.at(-1)?.at ?? 0;
      now
        .filter(({ past }) => past.length > 0)
        .sort((a, b) => order(b) - order(a))[0]
        ?.undo();
    },
    redo() {
      const now = stores.map((store) => store.getState());
      const order = ({ future }: (typeof now)[number]) => future[0]?.at ?? 0;
      now
        .filter(({ future }) => future.length > 0)
        .sort((a, b) => order(a) - order(b))[0]
        ?.redo();
    },
  };
}

/** {@link historyOf}, rerendering with every step. */
export function useHistory(stores: readonly Stepped[]): History {
  const source = useMemo(() => {
    let now = historyOf(stores);
    return {
      subscribe(changed: () => void) {
        const stops = stores.map((store) =>
          store.subscribe((state, before) => {
            if (state.past === before.past && state.future === before.future) return;
            now = historyOf(stores);
            changed();
          }),
        );
        return () => {
          for (const stop of stops) stop();
        };
      },
      get: () => now,
    };
  }, [stores]);
  return useSyncExternalStore(source.subscribe, source.get);
}
