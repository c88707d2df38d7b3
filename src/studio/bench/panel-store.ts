import { createStore, type StoreApi } from "zustand";
import type { PanelDocument } from "../../core/panel/document.ts";
import type { Edit } from "../../core/panel/edit.ts";
import { type ApiError, panelPath, type StoredPanel, sendJson } from "../api.ts";

/** A document as it was, and what was done to it next, in words. */
interface Step {
  before: PanelDocument;
  words: string;
}

export type SaveState = "saved" | "saving" | "waiting" | "failed" | "conflict";

export interface PanelState {
  panel: PanelDocument;
  past: readonly Step[];
  future: readonly Step[];
  saving: SaveState;
  /** Why saving failed, in words. */
  trouble: string | undefined;
  /** The other tab's version, when both changed the panel. */
  other: { version: number; document: PanelDocument } | undefined;
  /** Does an edit. With `joined`, a repeat of the last edit by its words becomes one step with it. */
  apply(edit: Edit, joined?: boolean): void;
  undo(): void;
  redo(): void;
  /** Settles a conflict: the other version as a step that can be undone, or this one over it. */
  settle(keep: "mine" | "theirs"): void;
}

export type PanelStore = StoreApi<PanelState>;

const pause = 300;
const retry = 3000;
const longest = 500;

/** Holds one panel with its history, and saves it by itself a moment after each change. */
export function createPanelStore(shop: string, stored: StoredPanel): PanelStore {
  let version = stored.version;
  let sent = stored.document;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const store = createStore<PanelState>((set, get) => {
    const put = (panel: PanelDocument, past: readonly Step[], future: readonly Step[]) => {
      set({ panel, past: past.slice(-longest), future });
      later(pause);
    };
    return {
      panel: stored.document,
      past: [],
      future: [],
      saving: "saved",
      trouble: undefined,
      other: undefined,
      apply(edit, joined = false) {
        const { panel, past } = get();
        const next = edit.apply(panel);
        if (JSON.stringify(next) === JSON.stringify(panel)) return;
        const again = joined && past.at(-1)?.words === edit.words;
        put(next, again ? past : [...past, { before: panel, words: edit.words }], []);
      },
      undo() {
        const { panel, past, future } = get();
        const step = past.at(-1);
        if (step) put(step.before, past.slice(0, -1), [{ before: panel, words: step.words }, ...future]);
      },
      redo() {
        const { panel, past, future } = get();
        const [step, ...rest] = future;
        if (step) put(step.before, [...past, { before: panel, words: step.words }], rest);
      },
      settle(keep) {
        const { other, panel, past } = get();
        if (!other) return;
        version = other.version;
        set({ other: undefined });
        if (keep === "mine") {
          later(0);
          return;
        }
        sent = other.document;
        set({ panel: other.document, past: [...past, { before: panel, words: "Take the other version" }], future: [], saving: "saved" });
      },
    };
  });

  function later(ms: number): void {
    const { other, panel } = store.getState();
    if (other) return;
    store.setState({ saving: panel === sent && !busy ? "saved" : "waiting" });
    clearTimeout(timer);
    timer = setTimeout(save, ms);
  }

  async function save(): Promise<void> {
    const { panel, other } = store.getState();
    if (busy || other || panel === sent) return;
    busy = true;
    store.setState({ saving: "saving" });
    try {
      const saved = await sendJson<{ version: number }>("PUT", panelPath(shop, stored.slug), { version, document: panel });
      version = saved.version;
      sent = panel;
      store.setState({ saving: "saved", trouble: undefined });
    } catch (error) {
      const { status, detail, message } = error as ApiError;
      if (status === 409 && detail.version && detail.document) {
        store.setState({ saving: "conflict", other: { version: detail.version, document: detail.document } });
      } else {
        store.setState({ saving: "failed", trouble: message });
        // A server that is away may come back; a refused document is only sent again when it changes.
        if (status === 0 || status >= 500) timer = setTimeout(save, retry);
      }
    } finally {
      busy = false;
      const now = store.getState();
      if (now.saving === "saved" && now.panel !== sent) later(0);
    }
  }
  return store;
}

/** Whether leaving now would lose a change. */
export const isUnsaved = ({ saving }: PanelState): boolean => saving !== "saved";
