import { createStore, type StoreApi } from "zustand";
import type { SentHistory, Stored } from "../../core/api/shop.ts";
import { type Change, changeBetween, type Edit, patched, perform } from "../../core/document/edit.ts";
import { keptSteps, type Step } from "../../core/document/patch.ts";
import { ApiError, sendJson } from "../api.ts";
import { currentTyping } from "./typing.ts";

export type SaveState = "saved" | "saving" | "waiting" | "failed" | "conflict";

export interface DocumentState<D extends object> {
  document: D;
  /** Steps that are done, the latest last, and those that were undone, the next to be done again first. */
  past: readonly Step[];
  future: readonly Step[];
  saving: SaveState;
  /** Why saving failed, in words. */
  trouble: string | undefined;
  /** The other tab's version, when both changed the document. */
  other: Pick<Stored<D>, "version" | "document"> | undefined;
  /** Does an edit. With `joined`, a repeat of the last edit by its words becomes one step with it. */
  apply(edit: Edit<D>, joined?: boolean): void;
  undo(): void;
  redo(): void;
  /** Settles a conflict: the other version as a step that can be undone, or this one over it. */
  settle(keep: "mine" | "theirs"): void;
}

export type DocumentStore<D extends object> = StoreApi<DocumentState<D>>;

/** The time of the latest step that this tab knows, of whatever document. */
let latest = 0;

/** A time for a new step: after all others, also where the clock was put back. */
function now(): number {
  latest = Math.max(Date.now(), latest + 1);
  return latest;
}

const pause = 300;
const retry = 3000;

/**
 * Holds one document with its last steps, and saves both by itself a moment after each change.
 * @param path where it is saved
 */
export function createDocumentStore<D extends object>(path: string, stored: Stored<D>): DocumentStore<D> {
  let version = stored.version;
  let sent = stored.document;
  /** Number of the step before the first that is kept. */
  const { steps, done } = stored.history;
  let before = (steps[0]?.n ?? done + 1) - 1;
  for (const { at } of steps) latest = Math.max(latest, at);
  /** The first step that differs from what is stored. */
  let changedFrom = Number.POSITIVE_INFINITY;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const store = createStore<DocumentState<D>>((set, get) => {
    const put = (document: D, past: readonly Step[], future: readonly Step[]) => {
      const kept = past.slice(-keptSteps);
      before = (kept[0]?.n ?? future[0]?.n ?? before + 1) - 1;
      set({ document, past: kept, future });
      later(pause);
    };
    const add = ({ document, patches, inverse }: Change<D>, past: readonly Step[], words: string) => {
      const n = (past.at(-1)?.n ?? before) + 1;
      changedFrom = Math.min(changedFrom, n);
      const step: Step = { n, at: now(), words, patches, inverse };
      put(document, patches.length === 0 ? past : [...past, step], []);
    };
    return {
      document: stored.document,
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
        if (last && goesOn)
          add(changeBetween(patched(document, last.inverse), change.document), past.slice(0, -1), edit.words);
        else add(change, past, edit.words);
        typing?.note(get().past.at(-1));
      },
      undo() {
        const { document, past, future } = get();
        const step = past.at(-1);
        if (step) put(patched(document, step.inverse), past.slice(0, -1), [step, ...future]);
      },
      redo() {
        const { document, past, future } = get();
        const [step, ...rest] = future;
        if (step) put(patched(document, step.patches), [...past, step], rest);
      },
      settle(keep) {
        const { other, document, past } = get();
        if (!other) return;
        version = other.version;
        set({ other: undefined });
        // The other tab's steps are not these: all of these take their place.
        if (keep === "mine") later(0);
        else {
          sent = other.document;
          add(changeBetween(document, other.document), past, "Use the other version");
          set({ saving: "saved" });
        }
        changedFrom = 1;
      },
    };
  });

  function later(ms: number): void {
    const { other, document } = store.getState();
    if (other) return;
    store.setState({ saving: document === sent && !busy ? "saved" : "waiting" });
    clearTimeout(timer);
    timer = setTimeout(save, ms);
  }

  function history(): SentHistory {
    const { past, future } = store.getState();
    const all = [...past, ...future];
    const from = Math.min(changedFrom, (all.at(-1)?.n ?? before) + 1);
    return { from, steps: all.filter(({ n }) => n >= from), done: past.at(-1)?.n ?? before };
  }

  async function save(): Promise<void> {
    const { document, other } = store.getState();
    if (busy || other || document === sent) return;
    busy = true;
    store.setState({ saving: "saving" });
    const body = { version, document, history: history() };
    const from = changedFrom;
    changedFrom = Number.POSITIVE_INFINITY;
    try {
      version = (await sendJson<{ version: number }>("PUT", path, body)).version;
      sent = document;
      store.setState({ saving: "saved", trouble: undefined });
    } catch (error) {
      changedFrom = Math.min(changedFrom, from);
      failed(error);
    } finally {
      busy = false;
      const now = store.getState();
      if (now.saving === "saved" && now.document !== sent) later(0);
    }
  }

  function failed(error: unknown): void {
    if (!(error instanceof ApiError)) throw error;
    const { status, detail, message } = error;
    if (status === 409 && detail.version !== undefined && detail.document !== undefined) {
      // The stored document was checked when it was saved, against the kind of this very document.
      store.setState({ saving: "conflict", other: { version: detail.version, document: detail.document as D } });
      return;
    }
    store.setState({ saving: "failed", trouble: message });
    // A server that is away may come back; a refused document is only sent again when it changes.
    if (status === 0 || status >= 500) timer = setTimeout(save, retry);
  }
  return store;
}

/** Whether leaving now would lose a change. */
export const isUnsaved = ({ saving }: { saving: SaveState }): boolean => saving !== "saved";
