import { useEffect } from "react";
import { type DocumentStore, isUnsaved } from "./document-store.ts";

/** Lets the browser ask before the page is left while something is not saved. */
export function useLeaveWarning<D>(store: DocumentStore<D> | undefined): void {
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (store && isUnsaved(store.getState())) event.preventDefault();
    };
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [store]);
}
