import { useStore } from "zustand";
import type { DocumentStore } from "./document-store.ts";

/** Shown when another tab saved the same document: nothing is written until the designer has chosen. */
export function ConflictNote<D extends object>({ store, what }: { store: DocumentStore<D>; what: string }) {
  const other = useStore(store, (state) => state.other);
  if (!other) return null;
  return (
    <div
      role="alert"
      className="flex flex-none items-center gap-3 border-b border-hair bg-accent px-4 py-2 text-accent-content"
    >
      <p className="flex-1">
        <b>{what} changed in another tab.</b> Your changes aren’t saved until you choose a version.
      </p>
      <button type="button" className="btn btn-sm" onClick={() => store.getState().settle("theirs")}>
        Use the other version
      </button>
      <button type="button" className="btn btn-primary btn-sm" onClick={() => store.getState().settle("mine")}>
        Keep mine
      </button>
    </div>
  );
}
