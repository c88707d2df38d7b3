import { createStore, type StoreApi } from "zustand";
import type { Stored } from "../../core/api/shop.ts";
import { type Change, changeBetween, type Edit, patched, perform } from "../../core/document/edit.ts";
import { maxSteps, type Patch, type Step } from "../../core/document/patch.ts";
import { Saver, type SaveState } from "./saver.ts";
import { StepClock } from "./step-clock.ts";
import { currentTyping } from "./typing.ts";

export interface DocumentState<D extends object> {
  document: D;
  /** The patches from the document before to this one. */
  patches: readonly Patch[];
  /** Finished steps, latest last, and undone ones, the next to redo first. */
  past: readonly Step[];
  future: readonly Step[];
  saving: SaveState;
  /** Why saving failed, in words. */
  trouble: string | undefined;
  /** The other tab's version, if both changed the document. */
  other: Pick<Stored<D>, "version" | "document"> | undefined;
  /** Applies an edit. With `joined`, a repeat of the last edit (by its words) is merged with it. */
  apply(edit: Edit<D>, joined?: boolean): void;
  undo(): void;
  redo(): void;
  /** Settles a conflict: applies the other version as a step that can be undone, or overwrites it. */
  settle(keep: "mine" | "theirs"): void;
}

export type DocumentStore<D extends object> = StoreApi<DocumentState<D>>;

/**
 * Holds one document with its last steps, and saves both shortly after each change.
 * @param path where it is saved
 * @param clock shared by all documents with a common history; by default its own
 */
export function createDocumentStore<D extends object>(
  path: string,
  stored: Stored<D>,
  clock = new StepClock(),
): DocumentStore<D> {
  const { steps, done } = stored.history;
  clock.know(steps.map(({ at }) => at));
  /** Number of the step before the first kept one. */
  let before = (steps[0]?.n ?? done + 1) - 1;
  /** The first step that differs from the stored ones. */
  let changedFrom = Number.POSITIVE_INFINITY;

  const store: DocumentStore<D> = createStore<DocumentState<D>>((set, get) => {
    const put = (change: Pick<Change<D>, "document" | "patches">, past: readonly Step[], future: readonly Step[]) => {
      const kept = past.slice(-maxSteps);
      before = (kept[0]?.n ?? future[0]?.n ?? before + 1) - 1;
      set({ document: change.document, patches: change.patches, past: kept, future });
      saver.later();
    };
    /** Adds a step. @param shown the patches from the present document, if the step starts from an earlier one */
    const add = (change: Change<D>, past: readonly Step[], words: string, shown = change.patches) => {
      const { document, patches, inverse } = change;
      const n = (past.at(-1)?.n ?? before) + 1;
      changedFrom = Math.min(changedFrom, n);
      const step: Step = { n, at: clock.now(), words, patches, inverse };
      put({ document, patches: shown }, patches.length === 0 ? past : [...past, step], []);
    };
    const move = (patches: readonly Patch[]) => ({ document: patched(get().document, patches), patches: [...patches] });
    return {
      document: stored.document,
      patches: [],
      past: steps.filter(({ n }) => n <= done),
      future: steps.filter(({ n }) => n > done),
      saving: "saved",
      trouble: undefined,
      other: undefined,
      apply(edit, joined = false) {
        const { document, past } = get();
        const change = perform(document, edit);
        if (!change) return;
        const last = past.at(-1);
        const typing = currentTyping();
        const goesOn = typing ? typing.made(last) : joined && last?.words === edit.words;
        if (last && goesOn) {
          const whole = changeBetween(patched(document, last.inverse), change.document);
          add(whole, past.slice(0, -1), edit.words, change.patches);
        } else add(change, past, edit.words);
        typing?.note(get().past.at(-1));
      },
      undo() {
        const { past, future } = get();
        const step = past.at(-1);
        if (step) put(move(step.inverse), past.slice(0, -1), [step, ...future]);
      },
      redo() {
        const { past, future } = get();
        const [step, ...rest] = future;
        if (step) put(move(step.patches), [...past, step], rest);
      },
      settle(keep) {
        const { other, document, past } = get();
        if (!other) return;
        set({ other: undefined });
        saver.settle(other.version, keep === "theirs" ? other.document : undefined);
        // The other tab's steps differ: all of these replace them.
        if (keep === "mine") saver.later(0);
        else {
          add(changeBetween(document, other.document), past, "Use the other version");
          set({ saving: "saved" });
        }
        changedFrom = 1;
      },
    };
  });

  const saver = new Saver<D>({
    path,
    version: stored.version,
    document: stored.document,
    current: () => store.getState().document,
    take() {
      const { document, past, future } = store.getState();
      const all = [...past, ...future];
      const first = changedFrom;
      const from = Math.min(first, (all.at(-1)?.n ?? before) + 1);
      changedFrom = Number.POSITIVE_INFINITY;
      return {
        document,
        history: { from, steps: all.filter(({ n }) => n >= from), done: past.at(-1)?.n ?? before },
        restore: () => {
          changedFrom = Math.min(changedFrom, first);
        },
      };
    },
    tell: (state) => store.setState(state),
  });
  return store;
}

/** Whether leaving now would lose a change. */
export const isUnsaved = ({ saving }: { saving: SaveState }): boolean => saving !== "saved";
