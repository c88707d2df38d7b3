import { createStore, type StoreApi } from "zustand";
import type { Edit } from "../../core/document/edit.ts";
import { type ApiError, type Stored, sendJson } from "../api.ts";

/** A document as it was, and what was done to it next, in words. */
export interface Step<D> {
  before: D;
  words: string;
}

export type SaveState = "saved" | "saving" | "waiting" | "failed" | "conflict";

export interface DocumentState<D> {
  document: D;
  past: readonly Step<D>[];
  future: readonly Step<D>[];
  saving: SaveState;
  /** Why saving failed, in words. */
  trouble: string | undefined;
  /** The other tab's version, when both changed the document. */
  other: Stored<D> | undefined;
  /** Does an edit. With `joined`, a repeat of the last edit by its words becomes one step with it. */
  apply(edit: Edit<D>, joined?: boolean): void;
  undo(): void;
  redo(): void;
  /** Settles a conflict: the other version as a step that can be undone, or this one over it. */
  settle(keep: "mine" | "theirs"): void;
}

export type DocumentStore<D> = StoreApi<DocumentState<D>>;

const pause = 300;
const retry = 3000;
const longest = 500;

/**
 * Holds one document with its history, and saves it by itself a moment after each change.
 * @param path where it is saved
 */
export function createDocumentStore<D>(path: string, stored: Stored<D>): DocumentStore<D> {
  let version = stored.version;
  let sent = stored.document;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const store = createStore<DocumentState<D>>((set, get) => {
    const put = (document: D, past: readonly Step<D>[], future: readonly Step<D>[]) => {
      set({ document, past: past.slice(-longest), future });
      later(pause);
    };
    return {
      document: stored.document,
      past: [],
      future: [],
      saving: "saved",
      trouble: undefined,
      other: undefined,
      apply(edit, joined = false) {
        const { document, past } = get();
        const next = edit.apply(document);
        if (JSON.stringify(next) === JSON.stringify(document)) return;
        const again = joined && past.at(-1)?.words === edit.words;
        put(next, again ? past : [...past, { before: document, words: edit.words }], []);
      },
      undo() {
        const { document, past, future } = get();
        const step = past.at(-1);
        if (step) put(step.before, past.slice(0, -1), [{ before: document, words: step.words }, ...future]);
      },
      redo() {
        const { document, past, future } = get();
        const [step, ...rest] = future;
        if (step) put(step.before, [...past, { before: document, words: step.words }], rest);
      },
      settle(keep) {
        const { other, document, past } = get();
        if (!other) return;
        version = other.version;
        set({ other: undefined });
        if (keep === "mine") {
          later(0);
          return;
        }
        sent = other.document;
        set({ document: other.document, past: [...past, { before: document, words: "Take the other version" }], future: [], saving: "saved" });
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

  async function save(): Promise<void> {
    const { document, other } = store.getState();
    if (busy || other || document === sent) return;
    busy = true;
    store.setState({ saving: "saving" });
    try {
      const saved = await sendJson<{ version: number }>("PUT", path, { version, document });
      version = saved.version;
      sent = document;
      store.setState({ saving: "saved", trouble: undefined });
    } catch (error) {
      const { status, detail, message } = error as ApiError;
      if (status === 409 && detail.version && detail.document) {
        store.setState({ saving: "conflict", other: { version: detail.version, document: detail.document as D } });
      } else {
        store.setState({ saving: "failed", trouble: message });
        // A server that is away may come back; a refused document is only sent again when it changes.
        if (status === 0 || status >= 500) timer = setTimeout(save, retry);
      }
    } finally {
      busy = false;
      const now = store.getState();
      if (now.saving === "saved" && now.document !== sent) later(0);
    }
  }
  return store;
}

/** Whether leaving now would lose a change. */
export const isUnsaved = ({ saving }: Pick<DocumentState<unknown>, "saving">): boolean => saving !== "saved";
