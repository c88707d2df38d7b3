import { Redo2, Undo2 } from "lucide-react";
import { useEffect } from "react";
import { useStore } from "zustand";
import type { DocumentStore } from "./document-store.ts";

const button = "grid size-8 place-items-center rounded-lg hover:bg-white/15 disabled:opacity-35 disabled:hover:bg-transparent";

/** Undo and redo for one document, by button and by key. */
export function HistoryButtons<D>({ store }: { store: DocumentStore<D> }) {
  const past = useStore(store, (state) => state.past);
  const future = useStore(store, (state) => state.future);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const redo = key === "y" || (key === "z" && event.shiftKey);
      if (!redo && key !== "z") return;
      // A text field undoes its own typing first.
      if (event.target instanceof HTMLElement && (event.target.matches("input[type=text], textarea") || event.target.isContentEditable)) return;
      event.preventDefault();
      if (redo) store.getState().redo();
      else store.getState().undo();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [store]);

  return (
    <div className="flex">
      <button
        type="button"
        className={button}
        disabled={past.length === 0}
        aria-label={past.length > 0 ? `Undo: ${past.at(-1)?.words}` : "Undo"}
        title={past.length > 0 ? `Undo: ${past.at(-1)?.words} (Ctrl Z)` : "Nothing to undo"}
        onClick={() => store.getState().undo()}
      >
        <Undo2 size={17} aria-hidden />
      </button>
      <button
        type="button"
        className={button}
        disabled={future.length === 0}
        aria-label={future.length > 0 ? `Redo: ${future[0].words}` : "Redo"}
        title={future.length > 0 ? `Redo: ${future[0].words} (Ctrl Shift Z)` : "Nothing to redo"}
        onClick={() => store.getState().redo()}
      >
        <Redo2 size={17} aria-hidden />
      </button>
    </div>
  );
}
