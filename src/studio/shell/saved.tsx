import { Check, CloudOff, LoaderCircle } from "lucide-react";
import { useStore } from "zustand";
import type { DocumentStore } from "./document-store.ts";

const shown = {
  saved: { Icon: Check, text: "Saved" },
  saving: { Icon: LoaderCircle, text: "Saving …" },
  waiting: { Icon: LoaderCircle, text: "Saving …" },
  failed: { Icon: CloudOff, text: "Not saved" },
  conflict: { Icon: CloudOff, text: "Not saved" },
};

/** Whether a document is saved, and why not. */
export function Saved<D extends object>({ store }: { store: DocumentStore<D> }) {
  const saving = useStore(store, (state) => state.saving);
  const trouble = useStore(store, (state) => state.trouble);
  const { Icon, text } = shown[saving];
  return (
    <span role="status" className="flex items-center gap-1.5 text-white/85" title={trouble}>
      <Icon size={15} aria-hidden />
      {text}
      {saving === "failed" ? <span className="max-w-72 truncate text-accent">{trouble}</span> : null}
    </span>
  );
}
